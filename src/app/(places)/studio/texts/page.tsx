import type { Metadata } from 'next';
import { TextsView } from '@/features/studio/TextsView.client';
import { getDb } from '@/server/db/client';
import { readStudio } from '@/server/repos/studioRepo';
import { loadMessageTexts } from '@/server/services/ownMessages';
import { loadTexts } from '@/server/services/ownTexts';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Texts' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const texts = loadTexts(getDb());
  const studio = readStudio(getDb());
  if (!texts.ok || !studio) return <NoStudio />;
  const first = { ...texts.value, ...loadMessageTexts(getDb()) };
  return <TextsView first={first} studio={studio.name} timeZone={studio.timeZone} />;
}

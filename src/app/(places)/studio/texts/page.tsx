import type { Metadata } from 'next';
import { TextsView } from '@/features/studio/TextsView.client';
import { getDb } from '@/server/db/client';
import { readStudio } from '@/server/repos/studioRepo';
import { loadTexts } from '@/server/services/ownTexts';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Texts' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const texts = loadTexts(getDb());
  const timeZone = readStudio(getDb())?.timeZone;
  return texts.ok && timeZone !== undefined ? <TextsView first={texts.value} timeZone={timeZone} /> : <NoStudio />;
}

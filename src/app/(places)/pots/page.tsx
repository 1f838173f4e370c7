import type { Metadata } from 'next';
import { PotsPage } from '@/features/pots/PotsPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { readStudio } from '@/server/repos/studioRepo';
import { loadPots } from '@/server/services/pots';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Pots' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const studio = readStudio(getDb());
  const view = loadPots(getDb(), nowMs());
  return studio && view.ok ? <PotsPage first={view.value} timeZone={studio.timeZone} /> : <NoStudio />;
}

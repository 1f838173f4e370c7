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
  if (!studio || !view.ok) return <NoStudio />;
  // another tablet has put one up or away: the page begins anew with those that are there
  const key = view.value.pots.map((p) => p.id).join(' ');
  return <PotsPage key={key} first={view.value} timeZone={studio.timeZone} />;
}

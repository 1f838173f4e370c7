import type { Metadata } from 'next';
import { PotsPage } from '@/features/pots/PotsPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadPots } from '@/server/services/pots';
import { loadToday } from '@/server/services/today';
import { todayPots } from '@/server/services/todayPots';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Pots' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const atMs = nowMs();
  const today = loadToday(getDb(), atMs);
  const view = loadPots(getDb(), atMs);
  if (!today.ok || !view.ok) return <NoStudio />;
  // another tablet has put one up or away: the page begins anew with those that are there
  const key = view.value.pots.map((p) => p.id).join(' ');
  return (
    <PotsPage key={key} first={view.value} today={today.value} ofDay={todayPots(getDb(), today.value.date, atMs)} />
  );
}

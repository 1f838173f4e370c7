import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { may } from '@/core/doors';
import { isCivilDate } from '@/core/shared';
import { TodayView } from '@/features/today/TodayView.client';
import { nowMs } from '@/server/clock';
import { pageRole } from '@/server/auth/guard';
import { getDb } from '@/server/db/client';
import { todayAtDesk } from '@/server/services/atDesk';
import { houseNeeds } from '@/server/services/backupDrill';
import { isFirstRun } from '@/server/services/firstRun';
import { loadToday } from '@/server/services/today';
import { todayPots } from '@/server/services/todayPots';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Today' };
export const dynamic = 'force-dynamic';

export default async function TodayPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ readonly on?: string }>;
}) {
  const { on } = await searchParams;
  if (isFirstRun(getDb())) redirect('/first');
  const atMs = nowMs();
  const day = loadToday(getDb(), atMs, typeof on === 'string' && isCivilDate(on) ? on : undefined);
  if (!day.ok) return <NoStudio />;
  const { date, today } = day.value;
  const role = await pageRole(getDb());
  const seen = role === 'desk' ? todayAtDesk(day.value) : day.value;
  const house = may(role, 'house') ? houseNeeds(getDb(), atMs) : [];
  return <TodayView today={seen} house={house} pots={date === today ? todayPots(getDb(), date, atMs) : null} />;
}

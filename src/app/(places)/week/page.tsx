import type { Metadata } from 'next';
import { isCivilDate } from '@/core/shared';
import { WeekView } from '@/features/today/WeekView.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadWeek } from '@/server/services/week';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Week' };
export const dynamic = 'force-dynamic';

export default async function WeekPage({ searchParams }: { readonly searchParams: Promise<{ readonly on?: string }> }) {
  const { on } = await searchParams;
  const week = loadWeek(getDb(), typeof on === 'string' && isCivilDate(on) ? on : undefined, nowMs());
  return week.ok ? <WeekView key={week.value.fromOn} first={week.value} /> : <NoStudio />;
}

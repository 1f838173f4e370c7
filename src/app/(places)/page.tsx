import type { Metadata } from 'next';
import { TodayView } from '@/features/today/TodayView';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadToday } from '@/server/services/today';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Today' };

export default function TodayPage() {
  const today = loadToday(getDb(), nowMs());
  return today.ok ? <TodayView today={today.value} /> : <NoStudio />;
}

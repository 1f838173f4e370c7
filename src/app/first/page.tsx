import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { FirstRunView } from '@/features/first/FirstRunView.client';
import { civilDateAt, nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadFirstRun } from '@/server/services/firstRun';

export const metadata: Metadata = { title: 'First run' };
export const dynamic = 'force-dynamic';

export default function FirstPage() {
  const run = loadFirstRun(getDb());
  // once it is over, what it asked stands under Studio
  if (!run.ok) redirect('/');
  return <FirstRunView first={run.value} today={civilDateAt(nowMs(), run.value.timeZone)} />;
}

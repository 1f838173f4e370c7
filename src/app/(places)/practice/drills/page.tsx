import type { Metadata } from 'next';
import { DrillsPage } from '@/features/practice/DrillsPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadDrills } from '@/server/services/drills';
import { topBarFacts } from '@/server/topBar';

export const metadata: Metadata = { title: 'Questions' };
export const dynamic = 'force-dynamic';

export default async function Page() {
  const { person, people } = await topBarFacts(getDb());
  const name = people.find((p) => p.id === person)?.name ?? null;
  return <DrillsPage key={person} first={loadDrills(getDb(), person, nowMs())} person={name} />;
}

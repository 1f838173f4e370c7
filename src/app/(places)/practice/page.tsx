import type { Metadata } from 'next';
import { PracticePage } from '@/features/practice/PracticePage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { readProducts } from '@/server/repos/studioRepo';
import { topBarFacts } from '@/server/topBar';

export const metadata: Metadata = { title: 'Practice' };
export const dynamic = 'force-dynamic';

const SEEDS = 2147483647;

export default async function Page() {
  const atMs = nowMs();
  const { person, people } = await topBarFacts(getDb());
  const name = people.find((p) => p.id === person)?.name ?? null;
  return <PracticePage key={person} person={name} products={readProducts(getDb())} seed={atMs % SEEDS} nowMs={atMs} />;
}

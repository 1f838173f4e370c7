import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { LearnerPage } from '@/features/learners/LearnerPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadHouse } from '@/server/services/house';
import { loadLearner } from '@/server/services/learners';

export const metadata: Metadata = { title: 'Learner' };
export const dynamic = 'force-dynamic';

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  const learner = loadLearner(getDb(), id, nowMs());
  if (!learner.ok) notFound();
  const house = loadHouse(getDb());
  const does = house.ok ? (house.value.people.find((p) => p.id === id)?.does ?? null) : null;
  return <LearnerPage learner={learner.value} does={does} />;
}

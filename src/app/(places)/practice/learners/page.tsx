import type { Metadata } from 'next';
import { LearnersPage } from '@/features/learners/LearnersPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadLearners } from '@/server/services/learners';

export const metadata: Metadata = { title: 'Learners' };
export const dynamic = 'force-dynamic';

export default function Page() {
  return <LearnersPage learners={loadLearners(getDb(), nowMs())} />;
}

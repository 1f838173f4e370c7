import type { Metadata } from 'next';
import { ExamsPage } from '@/features/exam/ExamsPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadExams } from '@/server/services/exams';

export const metadata: Metadata = { title: 'Examination' };
export const dynamic = 'force-dynamic';

export default function Page() {
  return <ExamsPage view={loadExams(getDb(), nowMs())} />;
}

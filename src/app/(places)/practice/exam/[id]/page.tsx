import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Candidate } from '@/features/exam/Candidate.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadExam } from '@/server/services/exams';

export const metadata: Metadata = { title: 'Practical' };
export const dynamic = 'force-dynamic';

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const exam = loadExam(getDb(), (await params).id, 'candidate', nowMs());
  if (!exam.ok) notFound();
  return <Candidate first={exam.value} />;
}

import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Examiner } from '@/features/exam/Examiner.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadExam } from '@/server/services/exams';

export const metadata: Metadata = { title: 'Marks' };
export const dynamic = 'force-dynamic';

export default async function Page({ params }: { readonly params: Promise<{ id: string }> }) {
  const exam = loadExam(getDb(), (await params).id, 'examiner', nowMs());
  if (!exam.ok) notFound();
  return <Examiner first={exam.value} />;
}

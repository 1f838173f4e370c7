import type { Metadata } from 'next';
import { BoardPage } from '@/features/exam/BoardPage.client';
import { getDb } from '@/server/db/client';
import { boardNow } from '@/server/services/exams';

export const metadata: Metadata = { title: 'The board' };
export const dynamic = 'force-dynamic';

export default function Page() {
  return <BoardPage first={boardNow(getDb())} />;
}

import type { Metadata } from 'next';
import { ReadyPage } from '@/features/ready/ReadyPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { readyList } from '@/server/services/outlook';

export const metadata: Metadata = { title: 'Who is ready when' };
export const dynamic = 'force-dynamic';

export default function Page() {
  return <ReadyPage first={readyList(getDb(), nowMs())} />;
}

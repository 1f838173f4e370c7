import type { Metadata } from 'next';
import { PostBoxPage } from '@/features/post/PostBoxPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadPostBox } from '@/server/services/postBox';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Post box' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const box = loadPostBox(getDb(), nowMs());
  return box.ok ? <PostBoxPage first={box.value} /> : <NoStudio />;
}

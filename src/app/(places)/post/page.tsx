import type { Metadata } from 'next';
import { PostBoxPage } from '@/features/post/PostBoxPage.client';
import { nowMs } from '@/server/clock';
import { pageRole } from '@/server/auth/guard';
import { getDb } from '@/server/db/client';
import { postAtDesk } from '@/server/services/atDesk';
import { loadPostBox } from '@/server/services/postBox';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Post box' };
export const dynamic = 'force-dynamic';

export default async function Page() {
  const box = loadPostBox(getDb(), nowMs());
  if (!box.ok) return <NoStudio />;
  return <PostBoxPage first={(await pageRole(getDb())) === 'desk' ? postAtDesk(box.value) : box.value} />;
}

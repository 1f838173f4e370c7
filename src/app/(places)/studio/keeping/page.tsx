import type { Metadata } from 'next';
import { KeepingView } from '@/features/studio/KeepingView.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { hasNobody } from '@/server/repos/keepingRepo';
import { loadKeeping } from '@/server/services/keeping';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Keeping and moving' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const loaded = loadKeeping(getDb(), nowMs());
  return loaded.ok ? <KeepingView first={loaded.value} isEmpty={hasNobody(getDb())} /> : <NoStudio />;
}

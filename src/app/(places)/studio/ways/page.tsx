import type { Metadata } from 'next';
import { WaysView } from '@/features/studio/WaysView.client';
import { getDb } from '@/server/db/client';
import { loadWays } from '@/server/services/houseWays';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'House rules' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const loaded = loadWays(getDb());
  return loaded.ok ? <WaysView first={loaded.value} /> : <NoStudio />;
}

import type { Metadata } from 'next';
import { HouseView } from '@/features/studio/HouseView.client';
import { getDb } from '@/server/db/client';
import { loadHouse } from '@/server/services/house';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Name, clock and money' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const loaded = loadHouse(getDb());
  return loaded.ok ? <HouseView first={loaded.value} /> : <NoStudio />;
}

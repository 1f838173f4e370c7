import type { Metadata } from 'next';
import { PeopleView } from '@/features/studio/PeopleView.client';
import { getDb } from '@/server/db/client';
import { loadHouse } from '@/server/services/house';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'People' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const loaded = loadHouse(getDb());
  return loaded.ok ? <PeopleView first={loaded.value} /> : <NoStudio />;
}

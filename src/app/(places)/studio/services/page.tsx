import type { Metadata } from 'next';
import { ServicesView } from '@/features/studio/ServicesView.client';
import { getDb } from '@/server/db/client';
import { loadHouse } from '@/server/services/house';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Services' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const loaded = loadHouse(getDb());
  return loaded.ok ? <ServicesView first={loaded.value} /> : <NoStudio />;
}

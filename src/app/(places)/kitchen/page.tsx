import type { Metadata } from 'next';
import { KitchenPage } from '@/features/kitchen/KitchenPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadKitchen } from '@/server/services/kitchen';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Kitchen' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const kitchen = loadKitchen(getDb(), nowMs());
  return kitchen.ok ? <KitchenPage first={kitchen.value} /> : <NoStudio />;
}

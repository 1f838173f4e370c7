import type { Metadata } from 'next';
import { PricesView } from '@/features/studio/PricesView.client';
import { getDb } from '@/server/db/client';
import { loadPrices } from '@/server/services/prices';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Prices' };
export const dynamic = 'force-dynamic';

export default function PricesPage() {
  const list = loadPrices(getDb());
  return list.ok ? <PricesView first={list.value} /> : <NoStudio />;
}

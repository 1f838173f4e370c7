import type { Metadata } from 'next';
import { ProductsView } from '@/features/products/ProductsView.client';
import { getDb } from '@/server/db/client';
import { loadCatalogue } from '@/server/services/catalogue';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Products' };
export const dynamic = 'force-dynamic';

export default function ProductsPage() {
  const catalogue = loadCatalogue(getDb());
  return catalogue.ok ? <ProductsView first={catalogue.value} /> : <NoStudio />;
}

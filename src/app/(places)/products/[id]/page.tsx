import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ProductEditor } from '@/features/products/ProductEditor.client';
import { getDb } from '@/server/db/client';
import { loadCatalogue } from '@/server/services/catalogue';

export const metadata: Metadata = { title: 'Product' };
export const dynamic = 'force-dynamic';

interface Props {
  readonly params: Promise<{ readonly id: string }>;
  readonly searchParams: Promise<{ readonly from?: string | string[] }>;
}

/** `/products/new?from=ID` begins a new product from another one. */
export default async function ProductPage({ params, searchParams }: Props) {
  const [{ id }, { from }] = await Promise.all([params, searchParams]);
  const catalogue = loadCatalogue(getDb());
  if (!catalogue.ok) notFound();
  const isNew = id === 'new';
  const row = catalogue.value.rows.find((r) => r.product.id === (isNew ? from : id));
  if (!row) notFound();
  return (
    <ProductEditor
      key={`${id}/${row.product.id}`}
      row={isNew ? { ...row, stocked: true } : row}
      isNew={isNew}
      currency={catalogue.value.currency}
      roomC={catalogue.value.roomC}
    />
  );
}

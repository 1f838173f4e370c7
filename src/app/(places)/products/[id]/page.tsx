import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ProductEditor } from '@/features/products/ProductEditor.client';
import { getDb } from '@/server/db/client';
import { loadCatalogue } from '@/server/services/catalogue';

export const metadata: Metadata = { title: 'Product' };
export const dynamic = 'force-dynamic';

interface Props {
  readonly params: Promise<{ readonly id: string }>;
  readonly searchParams: Promise<{ readonly from?: string | string[]; readonly at?: string | string[] }>;
}

/** Heats at which wax is laid at all, °C. */
const LAID_C = [30, 80] as const;
function heatAsked(at: string | string[] | undefined): number | null {
  const heatC = Number(typeof at === 'string' && at !== '' ? at : Number.NaN);
  return heatC >= LAID_C[0] && heatC <= LAID_C[1] ? heatC : null;
}

/** `/products/new?from=ID` begins a new product from another one; `?at=56` fits it from what was seen at 56 °C. */
export default async function ProductPage({ params, searchParams }: Props) {
  const [{ id }, { from, at }] = await Promise.all([params, searchParams]);
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
      seenAtC={heatAsked(at)}
    />
  );
}

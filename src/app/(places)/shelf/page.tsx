import type { Metadata } from 'next';
import { ShelfPage } from '@/features/shelf/ShelfPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadShelf } from '@/server/services/shelf';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Shelf' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const shelf = loadShelf(getDb(), nowMs());
  return shelf.ok ? <ShelfPage first={shelf.value} /> : <NoStudio />;
}

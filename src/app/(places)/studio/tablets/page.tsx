import type { Metadata } from 'next';
import { TabletsView } from '@/features/studio/TabletsView.client';
import { getDb } from '@/server/db/client';
import { anyPageRequest } from '@/server/pageRequest';
import { readStudio } from '@/server/repos/studioRepo';
import { loadTablets } from '@/server/services/tabletList';
import { tabletOf } from '@/server/tablets';

export const metadata: Metadata = { title: 'Tablets' };
export const dynamic = 'force-dynamic';

export default async function Page() {
  const own = tabletOf(await anyPageRequest());
  const timeZone = readStudio(getDb())?.timeZone ?? 'UTC';
  return <TabletsView first={loadTablets(getDb(), own)} timeZone={timeZone} />;
}

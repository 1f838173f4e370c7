import type { Metadata } from 'next';
import { ClientSearch } from '@/features/clients/ClientSearch.client';
import { pageRole } from '@/server/auth/guard';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { readStudio } from '@/server/repos/studioRepo';
import { linesAtDesk } from '@/server/services/atDesk';
import { searchClients } from '@/server/services/clientSearch';

export const metadata: Metadata = { title: 'Clients' };

export default async function ClientsPage() {
  const timeZone = readStudio(getDb())?.timeZone ?? 'UTC';
  const found = searchClients(getDb(), '', nowMs());
  const first = (await pageRole(getDb())) === 'desk' ? linesAtDesk(found, '') : found;
  return <ClientSearch first={first} timeZone={timeZone} />;
}

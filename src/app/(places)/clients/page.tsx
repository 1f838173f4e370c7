import type { Metadata } from 'next';
import { ClientSearch } from '@/features/clients/ClientSearch.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { readStudio } from '@/server/repos/studioRepo';
import { searchClients } from '@/server/services/clientSearch';

export const metadata: Metadata = { title: 'Clients' };

export default function ClientsPage() {
  const timeZone = readStudio(getDb())?.timeZone ?? 'UTC';
  return <ClientSearch first={searchClients(getDb(), '', nowMs())} timeZone={timeZone} />;
}

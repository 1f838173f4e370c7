import type { Metadata } from 'next';
import { ClientSearch } from '@/features/clients/ClientSearch.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { searchClients } from '@/server/services/clients';

export const metadata: Metadata = { title: 'Clients' };

export default function ClientsPage() {
  return <ClientSearch first={searchClients(getDb(), '', nowMs())} />;
}

import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ClientCardView } from '@/features/clients/ClientCardView';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadClientCard } from '@/server/services/clients';

export const metadata: Metadata = { title: 'Client' };

export default async function ClientPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  const card = loadClientCard(getDb(), id, nowMs());
  if (!card.ok) notFound();
  return <ClientCardView card={card.value} />;
}

import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ErasedCardView } from '@/features/clients/ErasedCardView';
import { DeskCardView } from '@/features/clients/DeskCardView';
import { ClientCardView } from '@/features/clients/ClientCardView';
import { pageRole } from '@/server/auth/guard';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { erasedCard } from '@/server/services/erase';
import { loadDeskCard } from '@/server/services/atDesk';
import { loadClientCard } from '@/server/services/clients';
import { notePageRead } from '@/server/trail';
import { loadProgress } from '@/server/services/progress';

export const metadata: Metadata = { title: 'Client' };

interface Props {
  readonly params: Promise<{ readonly id: string }>;
  readonly searchParams: Promise<{ readonly visits?: string | string[] }>;
}

/** `?visits=all` shows every visit, not only the latest. */
export default async function ClientPage({ params, searchParams }: Props) {
  const [{ id }, { visits }] = await Promise.all([params, searchParams]);
  const erased = erasedCard(getDb(), id);
  if (erased) return <ErasedCardView erased={erased} />;
  if ((await pageRole(getDb())) === 'desk') {
    const seen = loadDeskCard(getDb(), id, nowMs());
    if (!seen.ok) notFound();
    return <DeskCardView card={seen.value} />;
  }
  const card = loadClientCard(getDb(), id, nowMs(), visits === 'all');
  if (!card.ok) notFound();
  await notePageRead(getDb(), `/clients/${id}`);
  const progress = loadProgress(getDb(), id, nowMs());
  return <ClientCardView card={card.value} progress={progress.ok ? progress.value : null} />;
}

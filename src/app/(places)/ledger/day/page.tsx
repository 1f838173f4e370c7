import type { Metadata } from 'next';
import { isCivilDate } from '@/core/shared';
import { DayPage } from '@/features/ledger/DayPage.client';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadLedgerDay } from '@/server/services/ledgerDay';
import { NoStudio } from '@/ui/NoStudio';

export const metadata: Metadata = { title: 'Ledger: a day' };
export const dynamic = 'force-dynamic';

export default async function Page({ searchParams }: { readonly searchParams: Promise<{ readonly on?: string }> }) {
  const { on } = await searchParams;
  const day = loadLedgerDay(getDb(), typeof on === 'string' && isCivilDate(on) ? on : undefined, nowMs());
  // another day is another page: nothing that was typed for this one stays
  return day.ok ? <DayPage key={day.value.date} first={day.value} /> : <NoStudio />;
}

import type { Metadata } from 'next';
import { LedgerPage } from '@/features/ledger/LedgerPage.client';
import { dueWords } from '@/features/ledger/ledgerWords';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadLedgerDay } from '@/server/services/ledgerDay';
import { loadLedger } from '@/server/services/ledgerSums';
import { NoStudio } from '@/ui/NoStudio';
import { weekday } from '@/ui/words';

export const metadata: Metadata = { title: 'Ledger' };
export const dynamic = 'force-dynamic';

export default function Page() {
  const sums = loadLedger(getDb(), 'half-year', nowMs());
  const day = loadLedgerDay(getDb(), undefined, nowMs());
  if (!sums.ok || !day.ok) return <NoStudio />;
  const { lines, closing, due, date } = day.value;
  const standing = lines.filter((l) => !l.isUndone);
  const open = due.length === 0 ? '' : `, ${due.length} not entered`;
  const till = closing
    ? { words: `${weekday(date)} is closed`, act: `Look at ${weekday(date)}` }
    : {
        words: `${dueWords(standing.length, standing.filter((l) => l.paid === null).length)}${open}`,
        act: `Close ${weekday(date)}`,
      };
  return <LedgerPage first={sums.value} till={till} />;
}

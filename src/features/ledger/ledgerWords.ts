// The ledger in words.

import type { Family } from '@/core/anatomy';
import type { Kind, LossName, Paid, YearFacts } from '@/core/ledger';
import type { LedgerSums } from '@/server/services/ledgerSums';
import type { Money } from '@/ui/money';
import { plural } from '@/ui/words';

export const PAID_WORDS: Readonly<Record<Paid, string>> = {
  cash: 'Cash',
  card: 'Card',
  transfer: 'Transfer',
  credit: 'Out of a credit',
  nothing: 'On the house',
};
export const KIND_WORDS: Readonly<Record<Kind, string>> = {
  service: 'Service',
  goods: 'Goods',
  gift: 'Gift',
  package: 'Package',
  deposit: 'Deposit',
};
export const FAMILY_WORDS: Readonly<Record<Family, string>> = { hard: 'hard', soft: 'soft', sugar: 'sugar' };
export const MONEY_WAYS = ['cash', 'card', 'transfer'] as const;

/** What earns most and what least, as the heading. */
export function hourFinding(rows: LedgerSums['services'], money: Money): string {
  const [best, last] = [rows[0], rows.at(-1)];
  if (!best || !last) return 'No hour is entered yet';
  const of = (r: typeof best): string => `${r.name.toLowerCase()} ${money.short(r.perHourMinor)}`;
  return rows.length === 1 ? `An hour of ${of(best)}` : `An hour of ${of(best)}, of ${of(last)}`;
}

const share = (permille: number): string => {
  if (permille === 0) return 'none';
  return permille > 500 ? `${Math.round(permille / 10)} %` : `1 in ${Math.round(1000 / permille)}`;
};

export const LOSS_WORDS: Readonly<Record<LossName, (f: YearFacts) => string>> = {
  'weeks-off': (f) => `Weeks off: ${f.weeksOff}`,
  turnover: (f) => `Turnover, ${f.turnoverMin} min`,
  'no-shows': (f) => `No-shows: ${share(f.noShowPermille)}`,
  material: () => 'Material',
  room: () => 'Room',
  tax: (f) => (f.taxPermille === 0 ? 'Tax share: not said' : `Tax share, ${f.taxPermille / 10} %`),
};

export const dueWords = (lines: number, unsaid: number): string =>
  `${lines === 0 ? 'No line yet' : plural(lines, 'line')}${unsaid === 0 ? '' : `, ${unsaid === 1 ? 'one' : unsaid} without how`}`;

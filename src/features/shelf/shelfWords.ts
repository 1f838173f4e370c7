// The shelf in words.

import { withSizes } from '@/formats/size';
import type { Shelf, ShelfRow } from '@/server/services/shelf';
import { dayMonth, plural } from '@/ui/words';

const UNITS: Readonly<Record<ShelfRow['unit'], string>> = { g: 'g', ml: 'ml', piece: '', pair: 'pairs' };

export const amountWords = (amount: number, unit: ShelfRow['unit']): string =>
  withSizes(`${amount.toLocaleString('en-GB')} ${UNITS[unit]}`.trim());

/** The finding: what runs out first, or that all lasts. */
export function finding({ rows }: Shelf): string {
  if (rows.every((r) => r.amount + r.inPots === 0)) return 'Nothing stands on the shelf yet';
  const [first] = rows
    .flatMap((r) => (r.forecast.emptyOn === null ? [] : [{ name: r.name, on: r.forecast.emptyOn }]))
    .sort((a, b) => (a.on < b.on ? -1 : 1));
  return first ? `${first.name} runs out on ${dayMonth(first.on)}` : 'All lasts for the visits that are booked';
}

/** What stands there, and which of it goes first. */
export function lotsWords({ lots, amount, inPots, unit, kind }: ShelfRow, today: string): string {
  const good = lots.filter((l) => !l.isPast);
  const [first] = good;
  const past = lots.filter((l) => l.isPast);
  const named = first && first.lot !== '' ? first.lot : '';
  const goes = named === '' || good.length < 2 ? '' : `${named} first`;
  const keeps = first?.expiresOn ? `keeps to ${dayMonth(first.expiresOn)}` : '';
  const over = past.length > 0 ? `${past.map((l) => l.lot || 'a lot').join(', ')} past: set aside` : '';
  const open = kind === 'product' && first?.openedOn && first.openedOn <= today ? 'open' : '';
  const pots = inPots > 0 ? `${amountWords(inPots, unit)} in the pot` : '';
  return [
    `${amountWords(amount, unit)}${good.length > 1 ? ` in ${plural(good.length, 'lot')}` : ''}`,
    [pots, goes, open, keeps, over].filter(Boolean).join(', '),
  ]
    .filter(Boolean)
    .join('; ');
}

// What stands on the shelf by lots: what expires first goes first, what is past is not worked with, and what the table
// needs is not sold. Amounts are whole units: g, ml, pieces, pairs.

import type { CivilDate } from '../shared';

export interface Lot {
  readonly id: string;
  readonly amount: number;
  readonly receivedOn: CivilDate;
  /** Last day on which it may be used; null = it does not expire. */
  readonly expiresOn: CivilDate | null;
  /** Null = not opened yet. */
  readonly openedOn: CivilDate | null;
}

const FAR = '9999-12-31';

export const isPast = ({ expiresOn }: Pick<Lot, 'expiresOn'>, on: CivilDate): boolean =>
  expiresOn !== null && expiresOn < on;

/** In the order in which they are used: first expired first, an open one before a closed one, then the elder. */
export const inOrder = <L extends Lot>(lots: readonly L[]): readonly L[] =>
  [...lots].sort((a, b) => {
    const [x, y] = [a.expiresOn ?? FAR, b.expiresOn ?? FAR];
    if (x !== y) return x < y ? -1 : 1;
    if ((a.openedOn === null) !== (b.openedOn === null)) return a.openedOn === null ? 1 : -1;
    return a.receivedOn < b.receivedOn ? -1 : 1;
  });

export interface Taken {
  readonly taken: readonly { readonly id: string; readonly amount: number }[];
  /** What there was not. */
  readonly missing: number;
}

/** Takes an amount out of the lots, in their order, of those that are not past. */
export function take(lots: readonly Lot[], amount: number, on: CivilDate): Taken {
  let missing = amount;
  const taken = inOrder(lots).flatMap((lot) => {
    const part = isPast(lot, on) ? 0 : Math.min(missing, lot.amount);
    missing -= part;
    return part > 0 ? [{ id: lot.id, amount: part }] : [];
  });
  return { taken, missing };
}

/** What may be worked with on a day. */
export const usable = (lots: readonly Lot[], on: CivilDate): number =>
  lots.reduce((sum, l) => sum + (isPast(l, on) ? 0 : l.amount), 0);

/** What may be sold: retail never empties the treatment shelf. */
export const sellable = (lots: readonly Lot[], reserve: number, on: CivilDate): number =>
  Math.max(0, usable(lots, on) - reserve);

// What comes onto the shelf and goes off it: deliveries, sales, counts, waste, what visits use, what pots are filled
// with.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { sellable, take, usable } from '../../core/shelf';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db, DbOrTx } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import {
  insertLot,
  lastTaken,
  lotsOf,
  moveLot,
  readLot,
  readShelfItem,
  type ShelfItemRow,
  type ShelfMoveRow,
} from '../repos/shelfRepo';
import { readStudio } from '../repos/studioRepo';
import { addThing, changeTerms, itemOnShelf, type NewThing } from './shelfItems';

export interface By {
  readonly atMs: number;
  readonly personId: string | null;
}

const dayOf = (db: DbOrTx, atMs: number): string => civilDateAt(atMs, readStudio(db)?.timeZone ?? 'UTC');

export interface Delivery {
  readonly itemId: string;
  readonly lot: string;
  readonly amount: number;
  readonly expiresOn: string | null;
}

export type ShelfAct =
  | { readonly delivery: Delivery }
  | { readonly sale: { readonly itemId: string; readonly amount: number } }
  | { readonly thing: NewThing }
  | { readonly terms: Parameters<typeof changeTerms>[1] }
  /** A sale or waste of today was none. */
  | { readonly back: { readonly moveSeq: number } }
  | { readonly waste: { readonly lotId: string; readonly amount: number } }
  /** What was counted, item by item; what is not in it was not counted. */
  | { readonly count: readonly { readonly itemId: string; readonly amount: number }[] };

export function shelfAct(db: Db, act: ShelfAct, by: By): ServiceResult<null> {
  return atomically(db, () => {
    if ('delivery' in act) return deliver(db, act.delivery, by);
    if ('sale' in act) return sell(db, act.sale, by);
    if ('thing' in act) return addThing(db, act.thing);
    if ('terms' in act) return changeTerms(db, act.terms);
    if ('back' in act) return takeBack(db, act.back.moveSeq, by);
    if ('waste' in act) return waste(db, act.waste, by);
    for (const [i, { itemId, amount }] of act.count.entries()) {
      const item = itemOnShelf(db, itemId);
      if (!item) return refused('There is no such thing on the shelf.', `count[${i}].itemId`);
      count(db, item, amount, by);
    }
    return ok(null);
  });
}

function deliver(db: Db, { itemId, lot, amount, expiresOn }: Delivery, by: By): ServiceResult<null> {
  const receivedOn = dayOf(db, by.atMs);
  if (!itemOnShelf(db, itemId)) return notFound('item');
  if (expiresOn !== null && expiresOn < receivedOn) return refused('It is past already: send it back.', 'expiresOn');
  putLot(db, { itemId, lot, amount, expiresOn }, by);
  return ok(null);
}

/** A new lot with all that came of it. */
export function putLot(db: DbOrTx, { itemId, lot, amount, expiresOn }: Delivery, by: By): void {
  const id = randomUUID();
  insertLot(db, { id, itemId, lot, amount: 0, receivedOn: dayOf(db, by.atMs), expiresOn });
  moveLot(db, { ...by, lotId: id, kind: 'received', amount });
}

function sell(
  db: Db,
  { itemId, amount }: { readonly itemId: string; readonly amount: number },
  by: By,
): ServiceResult<null> {
  const item = readShelfItem(db, itemId);
  if (!item) return notFound('item');
  if (item.kind !== 'retail') return refused(`${item.name} is not for sale.`, 'sale.itemId');
  const may = sellable(lotsOf(db, itemId), item.reserve, dayOf(db, by.atMs));
  if (amount > may) return refused(`${may} may be sold: ${item.reserve} are kept for the table.`, 'sale.amount');
  takeOut(db, item.id, amount, { ...by, kind: 'sold' });
  return ok(null);
}

function waste(
  db: Db,
  { lotId, amount }: { readonly lotId: string; readonly amount: number },
  by: By,
): ServiceResult<null> {
  const lot = readLot(db, lotId);
  if (!lot) return notFound('lot');
  if (amount > lot.amount) return refused(`There are ${lot.amount} of it.`, 'waste.amount');
  moveLot(db, { ...by, lotId, kind: 'wasted', amount: -amount });
  return ok(null);
}

/** What went comes back into its lot; not once money for it stands in the ledger. */
function takeBack(db: Db, moveSeq: number, by: By): ServiceResult<null> {
  const move = lastTaken(db, 0).find((m) => m.seq === moveSeq);
  if (!move) return refused('That was taken back already, or it stands in the ledger: undo it there.', 'back.moveSeq');
  moveLot(db, { ...by, lotId: move.lotId, kind: move.kind, amount: -move.amount, about: move.seq });
  return ok(null);
}

/** The difference goes out of the lots in their order, or into the newest; without any, into one without a name. */
function count(db: Db, item: ShelfItemRow, amount: number, by: By): void {
  const on = dayOf(db, by.atMs);
  const lots = lotsOf(db, item.id);
  const difference = amount - usable(lots, on);
  if (difference < 0) {
    takeOut(db, item.id, -difference, { ...by, kind: 'counted' });
    return;
  }
  const newest = lots
    .filter((l) => l.expiresOn === null || l.expiresOn >= on)
    .sort((a, b) => (a.receivedOn < b.receivedOn ? 1 : -1))[0];
  const lotId = newest?.id ?? randomUUID();
  if (!newest) insertLot(db, { id: lotId, itemId: item.id, lot: '', amount: 0, receivedOn: on, expiresOn: null });
  // counted and right is said too: it was looked at
  moveLot(db, { ...by, lotId, kind: 'counted', amount: difference });
}

interface Out extends By {
  readonly kind: ShelfMoveRow['kind'];
  readonly visitId?: string;
}

/** Takes an amount out of an item's lots in their order, as far as there is; names of the lots that gave. */
export function takeOut(db: DbOrTx, itemId: string, amount: number, out: Out): readonly string[] {
  const on = dayOf(db, out.atMs);
  const lots = lotsOf(db, itemId).filter((l) => l.amount > 0);
  const { taken } = take(lots, amount, on);
  for (const { id, amount: part } of taken) moveLot(db, { ...out, lotId: id, amount: -part }, on);
  return taken.flatMap((t) => lots.find((l) => l.id === t.id)?.lot || []);
}

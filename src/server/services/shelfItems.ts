// What can stand on the shelf: what was put there before, the studio's products, and the small things that every visit
// uses. What was never delivered nor counted is not judged.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { ok } from '../../core/shared';
import type { DbOrTx } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import {
  insertShelfItem,
  readShelfItem,
  shelfItemsInUse,
  updateShelfItem,
  type ShelfItemRow,
} from '../repos/shelfRepo';
import { readProducts } from '../repos/studioRepo';

/** Of things that nobody has said more of: bought so much at a time, there in so many days (from memory). */
const USUAL_DAYS = 4;
const SMALL: readonly Pick<ShelfItemRow, 'id' | 'name' | 'unit' | 'pack'>[] = [
  { id: 'stick', name: 'Sticks', unit: 'piece', pack: 500 },
  { id: 'cloth', name: 'Strip cloths', unit: 'piece', pack: 100 },
  { id: 'gloves', name: 'Gloves', unit: 'pair', pack: 50 },
  { id: 'cleanser', name: 'Cleanser', unit: 'ml', pack: 500 },
  { id: 'oil', name: 'Oil', unit: 'ml', pack: 500 },
  { id: 'powder', name: 'Powder', unit: 'g', pack: 200 },
  { id: 'gauze', name: 'Gauze', unit: 'piece', pack: 200 },
];

/** Things that are not on the shelf yet and could be. */
export function notYetThere(db: DbOrTx): readonly ShelfItemRow[] {
  const there = new Set(shelfItemsInUse(db).map((i) => i.id));
  const usual = { deliveryDays: USUAL_DAYS, supplier: '', reserve: 0, active: true, version: 1 };
  const products = readProducts(db).map((p) => ({
    ...{ id: p.id, name: p.name, kind: 'product' as const, unit: 'g' as const, ...usual },
    ...{ pack: Math.max(1, Math.round(1000 * p.packKg)), priceMinor: Math.round(p.priceMinorPerKg * p.packKg) },
  }));
  const small = SMALL.map((s) => ({ ...s, ...usual, kind: 'consumable' as const, priceMinor: null }));
  return [...products, ...small].filter((i) => !there.has(i.id)).map((item, i) => ({ ...item, place: there.size + i }));
}

/** The thing on the shelf; one that could be there is put there. Undefined where there is no such thing. */
export function itemOnShelf(db: DbOrTx, id: string): ShelfItemRow | undefined {
  const there = readShelfItem(db, id);
  if (there) return there;
  const item = notYetThere(db).find((i) => i.id === id);
  if (item) insertShelfItem(db, item);
  return item;
}

/** How a thing is bought and kept. */
export interface Terms extends Pick<ShelfItemRow, 'pack' | 'deliveryDays' | 'reserve' | 'supplier'> {
  readonly name: string;
}
export interface NewThing extends Terms {
  readonly kind: 'consumable' | 'retail';
  readonly unit: ShelfItemRow['unit'];
}

const isNameTaken = (db: DbOrTx, name: string, but = ''): boolean =>
  [...shelfItemsInUse(db), ...notYetThere(db)].some(
    (i) => i.id !== but && i.name.trim().toLowerCase() === name.trim().toLowerCase(),
  );

/** A thing of the studio's own, used at the table or for sale. */
export function addThing(db: DbOrTx, thing: NewThing): ServiceResult<null> {
  if (isNameTaken(db, thing.name)) return refused('There is one of that name already.', 'thing.name');
  insertShelfItem(db, { ...thing, id: randomUUID(), place: shelfItemsInUse(db).length, priceMinor: null });
  return ok(null);
}

/** How a thing that is there is bought and kept from now on. */
export function changeTerms(
  db: DbOrTx,
  { itemId, version, ...terms }: Terms & { readonly itemId: string; readonly version: number },
): ServiceResult<null> {
  if (!readShelfItem(db, itemId)) return notFound('item');
  if (isNameTaken(db, terms.name, itemId)) return refused('There is one of that name already.', 'terms.name');
  return updateShelfItem(db, { id: itemId, version }, terms) ? ok(null) : stale(null);
}

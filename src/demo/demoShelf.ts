// What stands on the demo's shelf, and what its last visits used: invented, like the rest.

import { addDays } from '../core/shared';
import type { Plan } from '../core/plan';
import type { DbOrTx } from '../server/db/openDatabase';
import { insertLot, insertShelfItem, moveLot, putVisitUse, type ShelfItemRow } from '../server/repos/shelfRepo';

type DemoItem = Pick<ShelfItemRow, 'id' | 'name' | 'kind' | 'unit' | 'pack' | 'deliveryDays'> & {
  readonly reserve?: number;
  readonly priceMinor: number;
  readonly supplier: string;
  /** Lot, amount, days since it came, days until it is past; the first is the open one. */
  readonly lots: readonly (readonly [lot: string, amount: number, daysAgo: number, keepsDays: number | null])[];
};

const HARBOUR = 'Harbour Supply';
const ITEMS: readonly DemoItem[] = [
  {
    ...{ id: 'film-hard', name: 'Film hard wax, beads', kind: 'product', unit: 'g', pack: 1000, deliveryDays: 4 },
    ...{ priceMinor: 2400, supplier: HARBOUR },
    lots: [
      ['F-207', 340, 90, 500],
      ['F-211', 1000, 20, 640],
    ],
  },
  {
    ...{ id: 'cream-hard', name: 'Cream hard wax, tablets', kind: 'product', unit: 'g', pack: 1000, deliveryDays: 3 },
    ...{ priceMinor: 2000, supplier: HARBOUR },
    lots: [['C-118', 480, 60, 560]],
  },
  {
    ...{ id: 'sugar-firm', name: 'Sugar, firm, own', kind: 'product', unit: 'g', pack: 1000, deliveryDays: 1 },
    ...{ priceMinor: 250, supplier: 'our kitchen' },
    lots: [
      ['S-2', 420, 55, 35],
      ['S-4', 1090, 14, 76],
    ],
  },
  {
    ...{ id: 'stick', name: 'Sticks', kind: 'consumable', unit: 'piece', pack: 500, deliveryDays: 4 },
    ...{ priceMinor: 1400, supplier: HARBOUR },
    lots: [['', 410, 30, null]],
  },
  {
    ...{ id: 'gloves', name: 'Gloves, medium', kind: 'consumable', unit: 'pair', pack: 50, deliveryDays: 4 },
    ...{ priceMinor: 700, supplier: HARBOUR },
    lots: [['', 62, 30, null]],
  },
  {
    ...{ id: 'gel', name: 'Soothing gel, for sale', kind: 'retail', unit: 'piece', pack: 1, deliveryDays: 6 },
    ...{ priceMinor: 600, supplier: 'Tidewater Skin', reserve: 3 },
    lots: [['G-12', 5, 40, 220]],
  },
];

export function insertShelf(tx: DbOrTx, day: string, nowMs: number): void {
  ITEMS.forEach(({ lots, ...item }, place) => {
    insertShelfItem(tx, { ...item, place });
    lots.forEach(([lot, amount, daysAgo, keepsDays], i) => {
      const id = `demo-lot-${item.id}-${i}`;
      const receivedOn = addDays(day, -daysAgo);
      const expiresOn = keepsDays === null ? null : addDays(day, keepsDays);
      insertLot(tx, {
        id,
        itemId: item.id,
        lot,
        amount: 0,
        receivedOn,
        expiresOn,
        openedOn: i === 0 ? receivedOn : null,
      });
      moveLot(tx, { lotId: id, kind: 'received', amount, atMs: nowMs - daysAgo * 86_400_000, personId: 'bao' });
    });
  });
}

const LOTS: Readonly<Record<string, string>> = { 'film-hard': 'F-207', 'cream-hard': 'C-118', 'sugar-firm': 'S-2' };

/** The last visit of a client used what its plan said. */
export function insertUse(tx: DbOrTx, visitId: string, plan: Plan): void {
  for (const { item, amount } of plan.materials) {
    putVisitUse(tx, { visitId, item, amount: Math.max(1, Math.round(amount)), lot: LOTS[item] ?? '' });
  }
}

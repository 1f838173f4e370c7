// Batches of paste that the demo's studio has cooked: invented, like the rest.

import { endC, nextLot, recipeFor, stoveFrom, type Firmness } from '../core/kitchen';
import { addDays } from '../core/shared';
import { instantAt } from '../server/clock';
import type { DbOrTx } from '../server/db/openDatabase';
import { insertBatch, insertBatchNote } from '../server/repos/kitchenRepo';

interface DemoBatch {
  readonly daysAgo: number;
  readonly firmness: Firmness;
  readonly offC: number;
  readonly minutes: number;
  readonly jarG: number;
  readonly words: string;
}

const BATCHES: readonly DemoBatch[] = [
  { daysAgo: 78, firmness: 'hard', offC: 123, minutes: 25, jarG: 1060, words: 'too hard: 12 g of water stirred in' },
  { daysAgo: 55, firmness: 'firm', offC: 119, minutes: 23, jarG: 1080, words: 'good; crystals at the rim, wiped' },
  { daysAgo: 37, firmness: 'firm', offC: 117, minutes: 22, jarG: 1110, words: 'a little soft above 24°' },
  { daysAgo: 14, firmness: 'firm', offC: 119, minutes: 24, jarG: 1090, words: 'moulded well on six clients' },
];
const KEEPS = 90;

export function insertBatches(tx: DbOrTx, day: string, timeZone: string): void {
  const lots: string[] = [];
  for (const { daysAgo, firmness, offC, minutes, jarG, words } of BATCHES) {
    const on = addDays(day, -daysAgo);
    const weighedAtMs = instantAt(on, 8, 10, timeZone);
    const lot = nextLot(lots);
    lots.push(lot);
    const id = `demo-batch-${lot}`;
    const recipe = recipeFor(1000);
    const here = { recipe, waterC: 100, roomC: 22 };
    const found = stoveFrom(here, [{ atS: minutes * 60, tempC: offC }]);
    insertBatch(tx, {
      ...{ id, lot, firmness, ...here, endC: endC(firmness), stoveW: found ?? 600, stoveFoundW: found },
      ...{ personId: 'bao', weighedAtMs, step: 'jar', state: 'jarred', offC, jarG, words },
      ...{ endedAtMs: weighedAtMs + (minutes + 60) * 60_000, keepsTo: addDays(on, KEEPS) },
    });
    const off = { batchId: id, atMs: weighedAtMs + minutes * 60_000, personId: 'bao' };
    insertBatchNote(tx, { ...off, kind: 'heat', tempC: offC });
    insertBatchNote(tx, { ...off, kind: 'step', what: 'dish' });
  }
}

// What was used on each zone at this client's last visit and was good: by the reading and by what the client felt.

import 'server-only';
import { zoneKey } from '../../core/anatomy';
import type { ZoneCase } from '../../core/plan';
import type { Way } from '../../core/products';
import { isSaid } from '../../core/reading';
import type { Reading } from '../db/schema';
import { readable } from '../db/json';
import type { WorkedReading } from '../repos/workedRepo';

const LATEST_VISITS = 3;
/** A good reading (from memory): nearly all came off, little broke, the skin was calm and the heat was right. */
const GOOD = { removedPct: 95, brokenPct: 3 } as const;

const isGood = (r: Reading): boolean =>
  (['broken', 'skin', 'bleeding', 'heatFelt'] as const).every((f) => isSaid(r, f)) &&
  (r.said === undefined || r.removedSaid === true) &&
  r.removedPct >= GOOD.removedPct &&
  r.brokenPct <= GOOD.brokenPct &&
  (r.skin === 'calm' || r.skin === 'pink') &&
  r.bleeding !== 'keeps-on' &&
  r.heatFelt === 'right';

/** By zone and side; a zone whose latest reading was not good has none. @param lately latest visit first */
export function workedBefore(lately: readonly WorkedReading[]): ReadonlyMap<string, NonNullable<ZoneCase['worked']>> {
  const visits = new Set([...new Set(lately.map((r) => r.visitId))].slice(0, LATEST_VISITS));
  const latest = new Map<string, WorkedReading>();
  for (const row of lately) {
    if (!visits.has(row.visitId)) break;
    // zones are checked on the way in
    const key = zoneKey({ zone: row.zone as ZoneCase['zone'], side: row.side });
    if (!latest.has(key)) latest.set(key, row);
  }
  return new Map(
    [...latest]
      .filter(([, row]) => readable(() => isGood(row.reading), false))
      // ways are those of a plan
      .map(([key, row]) => [key, { product: row.product, way: row.way as Way }]),
  );
}

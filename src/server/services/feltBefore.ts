// How warm wax felt at a client's earlier visits, with the margin to the felt limit that was planned then. What was
// planned stands for what was laid: the pot is not measured yet.

import 'server-only';
import { ZONES, type ZoneId } from '../../core/anatomy';
import { feltLimitC } from '../../core/heat';
import type { ClientCase } from '../../core/plan';
import { isSaid } from '../../core/reading';
import { readable } from '../db/json';
import type { DbOrTx } from '../db/openDatabase';
import type { VisitRow } from '../repos/visitRepo';
import { workedReadings, type WorkedReading } from '../repos/workedRepo';

type Felt = NonNullable<ClientCase['heatFelt']>[number];

/** Skin and ways of working change: the latest visits speak, and no save has to read a client's whole history. */
const MOST_VISITS = 12;
/** What a client's latest visits say of heat and of what was good, latest visit first: read once for both. */
export const workedLately = (
  db: DbOrTx,
  clientId: string,
  before?: Pick<VisitRow, 'onDate' | 'id'>,
): readonly WorkedReading[] => workedReadings(db, clientId, MOST_VISITS, before);

/** Oldest first; both sides of a zone that felt alike at one visit count once. @param rows latest visit first */
export function feltBefore(rows: readonly WorkedReading[]): readonly Felt[] {
  const latest = [...new Set(rows.map((r) => r.visitId))].reverse();
  return latest.flatMap((visitId) => {
    const said = rows
      .filter((r) => r.visitId === visitId && readable(() => isSaid(r.reading, 'heatFelt'), false))
      .map((r): Felt => {
        // zones are checked on the way in; plans from before the limit was kept: as it would be today
        const limitC = r.limitC ?? feltLimitC(ZONES[r.zone as ZoneId].skin, r.sensitivity);
        const marginK = Math.round(100 * ((r.feltPeakC ?? 0) - limitC)) / 100;
        // zones are checked on the way in
        const zone = r.zone as ZoneId;
        return { on: r.onDate, zone, product: r.product, touchC: r.touchC ?? 0, marginK, felt: r.reading.heatFelt };
      });
    return said.filter(
      (f, i) => said.findIndex((o) => o.zone === f.zone && o.felt === f.felt && o.product === f.product) === i,
    );
  });
}

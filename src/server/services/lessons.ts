import 'server-only';
import type { ZoneId } from '../../core/anatomy';
import { standingLessons, type Lesson } from '../../core/reading';
import type { DbOrTx } from '../db/openDatabase';
import { readingsOfClient } from '../repos/pastRepo';
import { visitHeads } from '../repos/visitRepo';

/** How far back a lesson is looked for, visits. */
const LOOK_BACK = 12;

/** What was remarked three times of this client's zones at the last dozen visits. */
export function lessonsOf(db: DbOrTx, clientId: string): readonly Lesson[] {
  const heads = visitHeads(db, clientId).slice(0, LOOK_BACK);
  const from = heads.at(-1)?.onDate;
  if (from === undefined) return [];
  const on = new Map(heads.map((h) => [h.id, h.onDate]));
  // zones are checked on the way in
  return standingLessons(
    [...readingsOfClient(db, clientId, from).values()].flat().flatMap((r) => {
      const day = on.get(r.visitId);
      return day === undefined ? [] : [{ zone: r.zone as ZoneId, side: r.side, on: day, reading: r.data }];
    }),
  );
}

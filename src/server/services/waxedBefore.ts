// When a zone was last worked before this book, by the visits that were brought in: hair that was waxed last month is
// no first time, though nothing of it was charted here.

import 'server-only';
import { zoneKey } from '../../core/anatomy';
import { readable } from '../db/json';
import type { DbOrTx } from '../db/openDatabase';
import { pastVisitsOf } from '../repos/importRepo';

/** Civil date by zone and side. @param beforeDate only of earlier days */
export function waxedBefore(db: DbOrTx, clientId: string, beforeDate: string): ReadonlyMap<string, string> {
  const last = new Map<string, string>();
  for (const visit of pastVisitsOf(db, clientId)) {
    if (visit.onDate >= beforeDate) continue;
    // latest first: the first that is found counts
    for (const z of readable(() => [...visit.zones], [])) {
      if (!last.has(zoneKey(z))) last.set(zoneKey(z), visit.onDate);
    }
  }
  return last;
}

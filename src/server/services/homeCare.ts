// Home care: what is advised at the end of a visit is asked about at the next.

import 'server-only';
import type { HomeCareId, Kept } from '../../core/care';
import { ok } from '../../core/shared';
import { atomically, mustWrite } from '../db/atomically';
import type { Db, DbOrTx } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { homeCareOf, lastAdvised, putAdvised, putKept } from '../repos/homeCareRepo';
import { readVisit, type VisitRow } from '../repos/visitRepo';

export interface KeptItem {
  readonly item: HomeCareId;
  /** Null = not asked yet, or not answered. */
  readonly kept: Kept | null;
}

export interface HomeCareHere {
  /** At this visit, for the time after it. */
  readonly advised: readonly HomeCareId[];
  /** Of the last visit at which something was advised; null where there is none. */
  readonly since: { readonly visitId: string; readonly on: string; readonly items: readonly KeptItem[] } | null;
}

/** What was advised last time and nobody has answered at another visit since. */
function openSince(db: DbOrTx, visit: VisitRow): HomeCareHere['since'] {
  const before = lastAdvised(db, visit);
  if (!before) return null;
  const open = homeCareOf(db, before.id).filter((r) => r.askedAt === null || r.askedAt === visit.id);
  return open.length === 0
    ? null
    : { visitId: before.id, on: before.onDate, items: open.map(({ item, kept }) => ({ item, kept })) };
}

export const homeCareHere = (db: DbOrTx, visit: VisitRow): HomeCareHere => ({
  advised: homeCareOf(db, visit.id).map((r) => r.item),
  since: openSince(db, visit),
});

export type HomeCareAct =
  | { readonly advised: readonly HomeCareId[] }
  /** `kept: null` takes an answer back. */
  | { readonly answer: KeptItem };

/** Writes what is advised, or one answer to what was advised last time; a closed visit stands. */
export function sayHomeCare(db: Db, visitId: string, act: HomeCareAct): ServiceResult<HomeCareHere> {
  return atomically(db, () => {
    const visit = readVisit(db, visitId);
    if (!visit) return notFound('visit');
    if (visit.status === 'closed') return refused('The visit is closed: what was said at it stands.', 'visit');
    if ('advised' in act) putAdvised(db, visitId, act.advised);
    else {
      const { item, kept } = act.answer;
      const since = openSince(db, visit);
      if (!since?.items.some((r) => r.item === item)) {
        return refused('That was not advised last time, or is answered already.', 'answer.item');
      }
      const said = kept === null ? { kept: null, askedAt: null } : { kept, askedAt: visitId };
      mustWrite(putKept(db, { visitId: since.visitId, item }, said), 'home care');
    }
    return ok(homeCareHere(db, visit));
  });
}

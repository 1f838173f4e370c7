// Appends what the hands did. Ids are made by the tablet: the same event sent twice is written once, and the answer is
// the whole journal, so a tablet that was away catches up.

import 'server-only';
import { hasBegun, type TableEvent } from '../../core/hands';
import { ok } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { appendEvents, journalOf, readVisit, setPlanHash, visitOfEvent } from '../repos/visitRepo';
import { partsOf } from './bench';
import { planCase } from './planCase';

export function appendJournal(
  db: Db,
  visitId: string,
  events: readonly TableEvent[],
  nowMs: number,
): ServiceResult<{ readonly journal: readonly TableEvent[] }> {
  const visit = readVisit(db, visitId);
  if (!visit) return notFound('visit');
  const elsewhere = events.findIndex((e) => (visitOfEvent(db, e.id) ?? visitId) !== visitId);
  if (elsewhere >= 0) return refused('This event belongs to another visit.', `events[${elsewhere}].id`);
  const before = journalOf(db, visitId);
  const known = new Set(before.map((e) => e.id));
  if (visit.status === 'closed' && events.some((e) => !known.has(e.id))) {
    return refused('The visit is closed; its record stands as it is.', 'visit');
  }
  // with the first wax on the skin the plan is fixed: strips must not be renumbered under the hands
  const found = hasBegun(before) ? undefined : partsOf(db, visit);
  const hash = found ? planCase(db, found.parts, nowMs).hash : '';
  db.transaction((tx) => {
    appendEvents(tx, visitId, events);
    if (hash !== '' && hasBegun(journalOf(tx, visitId))) setPlanHash(tx, visitId, hash);
  });
  return ok({ journal: journalOf(db, visitId) });
}

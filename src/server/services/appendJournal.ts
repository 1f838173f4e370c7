// Appends what the hands did. Ids are made by the tablet: the same act sent twice is written once. The acts carry the
// plan that the hands saw: with the first wax that very plan is fixed, or the tablet is told that it is out of date.
// The answer is what is new since the tablet last heard, so that one that was away catches up.

import 'server-only';
import { isDeepStrictEqual } from 'node:util';
import { actFault, beginsWith, hasBegun, type Admitting, type TableEvent } from '../../core/hands';
import { admitting, type Plan } from '../../core/plan';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { shelvedPlan } from '../planning/planner';
import { appendEvents, entriesOf, visitOfEvent, type JournalEntry } from '../repos/journalRepo';
import { readVisit, setPlanHash, type VisitRow } from '../repos/visitRepo';
import { loadBench, partsOf } from './bench';
import { judgedNow } from './consultRules';
import { journalAtHand } from './journalAtHand';
import { noteOnCard } from './incidentOnCard';
import { caseOf } from './planCase';

export interface AppendJournal {
  readonly events: readonly TableEvent[];
  /** Hash of the plan that the hands saw. */
  readonly plan?: string | undefined;
  /** The last entry that the tablet has heard of; 0 = none. */
  readonly after?: number | undefined;
}

export interface JournalNews {
  readonly entries: readonly JournalEntry[];
}

/** What the acts of a plan are judged by, worked out once a plan. */
const admittingOf = new WeakMap<Plan, Admitting>();
function judging(plan: Plan): Admitting {
  const known = admittingOf.get(plan) ?? admitting(plan);
  admittingOf.set(plan, known);
  return known;
}

/** Why no wax may touch skin at this visit now; null where it may. */
function waxFault(db: Db, visit: VisitRow, nowMs: number): string | null {
  if (visit.consult.confirmedAtMs === null) return 'The consultation is not confirmed: no wax before that.';
  const found = partsOf(db, visit);
  if (!found) return 'The visit cannot be read.';
  const { outcome } = judgedNow(found.parts, nowMs);
  return outcome === 'postpone' || outcome === 'decline' ? 'The screening stops this visit: no wax today.' : null;
}

function planChanged(db: Db, visitId: string, nowMs: number): ServiceResult<never> {
  const newer = loadBench(db, visitId, nowMs);
  return {
    ok: false,
    error: {
      code: 'plan-changed',
      message: 'The plan has changed since this tablet saw it. Nothing was noted; look at the new one first.',
      details: [],
      newer: newer.ok ? newer.value : null,
    },
  };
}

/** The plan to be worked by from the first wax on: the one the hands saw, if it is still the visit's. */
function planToFix(db: Db, visit: VisitRow, seen: string | undefined): string | null {
  const found = partsOf(db, visit);
  if (!found || seen === undefined) return null;
  return caseOf(found.parts).hash === seen && shelvedPlan(db, seen) ? seen : null;
}

const sameEvent = (a: TableEvent, b: TableEvent): boolean =>
  isDeepStrictEqual(JSON.parse(JSON.stringify(a)), JSON.parse(JSON.stringify(b)));

export function appendJournal(
  db: Db,
  visitId: string,
  { events, plan: seen, after = 0 }: AppendJournal,
  nowMs: number,
): ServiceResult<JournalNews> {
  return atomically(db, () => {
    const visit = readVisit(db, visitId);
    if (!visit) return notFound('visit');
    const { events: before, byId: known } = journalAtHand(db, visitId);
    const wrong = events.findIndex((e, i) => {
      const written = known.get(e.id) ?? events.slice(0, i).find((o) => o.id === e.id);
      return written && !sameEvent(written, e);
    });
    if (wrong >= 0) return refused('This act is noted already, and differently.', `events[${wrong}].id`);
    const fresh = events.filter((e, i) => !known.has(e.id) && events.findIndex((o) => o.id === e.id) === i);
    const elsewhere = fresh.find((e) => visitOfEvent(db, e.id) !== undefined);
    if (elsewhere) return refused('This act belongs to another visit.', `events[${events.indexOf(elsewhere)}].id`);
    if (fresh.length === 0) return ok({ entries: entriesOf(db, visitId, after) });
    // a record of what went wrong can be added to later; the rest stands as it is
    if (visit.status === 'closed' && fresh.some((e) => e.kind !== 'incident')) {
      return refused('The visit is closed; its record stands as it is.', 'visit');
    }
    const begins = beginsWith(before, fresh);
    let hash = hasBegun(before) ? visit.planHash : (seen ?? null);
    if (begins) {
      const fault = waxFault(db, visit, nowMs);
      if (fault !== null) return refused(fault, 'visit');
      hash = planToFix(db, visit, seen);
      if (hash === null) return planChanged(db, visitId, nowMs);
    }
    const plan = hash === null ? undefined : shelvedPlan(db, hash);
    if (!plan) return planChanged(db, visitId, nowMs);
    const fault = actFault(judging(plan), before, fresh);
    if (fault) {
      // a fault has its act
      return refused(fault.message, `events[${events.indexOf(fresh[fault.index] as TableEvent)}]`);
    }
    appendEvents(db, visitId, fresh);
    noteOnCard(db, visit, fresh);
    if (begins) setPlanHash(db, visitId, hash);
    return ok({ entries: entriesOf(db, visitId, after) });
  });
}

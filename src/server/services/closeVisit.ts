// Closes a visit: its plan and care are kept with it, standing facts go back to the card, the next visit is booked. All
// or nothing.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { ok } from '../../core/shared';
import { timeInWords } from '../clock';
import { atomically, mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { shelvedPlan } from '../planning/planner';
import { clashingBooking, insertBooking, updateClient } from '../repos/clientRepo';
import { journalOf } from '../repos/journalRepo';
import { prunePlans } from '../repos/planRepo';
import { readServices, readStudio } from '../repos/studioRepo';
import { putCare, readVisit, updateVisit, type VisitRow } from '../repos/visitRepo';
import { putWorked } from '../repos/workedRepo';
import { loadBench, partsOf } from './bench';
import { plannedMinutes, tableMinutes } from './bookingLength';
import { takenBy } from './placeTaken';
import { countUse, noteWrists } from './visitUse';
import { keepParts, servicesOfVisit } from './visitParts';
import { neededPlan, type CaseParts } from './planCase';
import { standingAfter } from './standingAfter';

export interface CloseVisit {
  readonly version: number;
  readonly next: { readonly startsAtMs: number; readonly minutes: number } | null;
}

export interface ClosedVisit {
  readonly visitId: string;
  readonly bookingId: string | null;
}

/** When the next visit cannot be; null where it can. */
export function nextFault(
  db: Db,
  next: CloseVisit['next'],
  { personId, nowMs }: { readonly personId: string; readonly nowMs: number },
  path: string,
): ServiceResult<never> | null {
  if (!next) return null;
  if (next.startsAtMs <= nowMs) return refused('The next visit must lie ahead.', path);
  const taken = clashingBooking(db, { personId, ...next });
  if (!taken) {
    const why = takenBy(db, { personId, ...next });
    return why === null ? null : refused(`That hour ${why}.`, path);
  }
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  const end = taken.startsAtMs + taken.minutes * 60_000;
  return refused(
    `That hour is taken: ${timeInWords(taken.startsAtMs, timeZone)} to ${timeInWords(end, timeZone)} is booked already.`,
    path,
  );
}

export function closeVisit(db: Db, visitId: string, body: CloseVisit, nowMs: number): ServiceResult<ClosedVisit> {
  return atomically(db, () => {
    const visit = readVisit(db, visitId);
    const found = visit && partsOf(db, visit);
    if (!visit || !found) return notFound('visit');
    if (visit.status === 'closed') return refused('The visit is closed already.', 'visit');
    if (visit.version !== body.version) {
      const newer = loadBench(db, visitId, nowMs);
      return stale(newer.ok ? newer.value : null);
    }
    const fault = nextFault(db, body.next, { personId: visit.personId, nowMs }, 'next.startsAtMs');
    if (fault) return fault;
    const { parts } = found;
    const owner = { kind: 'visit', id: visitId } as const;
    const fixed = visit.planHash === null ? undefined : shelvedPlan(db, visit.planHash);
    const planned = fixed
      ? { plan: fixed, hash: visit.planHash ?? '' }
      : neededPlan(db, parts, nowMs, { owner, priority: 'table' });
    const closed = {
      status: 'closed' as const,
      closedAtMs: nowMs,
      planHash: planned.hash === '' ? null : planned.hash,
      plannedMin: plannedMinutes(planned.plan.time.parts),
      tableMin: tableMinutes(journalOf(db, visitId)),
    };
    mustWrite(updateVisit(db, visitId, body.version, closed), 'the visit');
    putWorked(db, visitId, planned.plan, visit.consult.sensitivity);
    putCare(
      db,
      visitId,
      planned.plan.care.map((c) => ({ whenTold: c.when, fromH: c.fromH, toH: c.toH, text: c.text })),
    );
    const table = { visitId, journal: journalOf(db, visitId), personId: visit.personId };
    countUse(db, { ...table, plan: planned.plan, atMs: nowMs });
    noteWrists(db, table);
    const { settings } = parts.studio;
    keepParts(db, {
      ...{ visitId, plan: planned.plan, serviceMinutes: settings.serviceMinutes ?? {} },
      services: servicesOfVisit(readServices(db), visit.consult.services, parts.zones),
      tookMin: closed.tableMin ?? closed.plannedMin,
    });
    writeCard(db, parts, visit);
    // what it was worked by stays; what was tried on the way goes
    prunePlans(db, owner, 0);
    if (visit.bookingId !== null) prunePlans(db, { kind: 'booking', id: visit.bookingId }, 0);
    return ok({ visitId, bookingId: body.next ? bookNext(db, parts, body.next) : null });
  });
}

/** What the visit has shown of the client goes back to the card. */
function writeCard(db: Db, { client }: CaseParts, visit: VisitRow): void {
  const { profile } = client;
  const { consult, onDate } = visit;
  const written = updateClient(db, client.id, client.version, {
    profile: {
      ...profile,
      standing: standingAfter(profile.standing, consult.facts, onDate, 'done'),
      sensitivity: consult.sensitivity,
      consentOn: profile.consentOn ?? (consult.consent ? onDate : null),
      guardianConsentOn: profile.guardianConsentOn ?? (consult.guardianConsent ? onDate : null),
    },
  });
  mustWrite(written, 'the card');
}

/** Books a next visit of the same zones with the same practitioner. */
export function bookNext(db: Db, { client, person, zones }: CaseParts, next: NonNullable<CloseVisit['next']>): string {
  const id = randomUUID();
  insertBooking(db, {
    id,
    clientId: client.id,
    personId: person.id,
    startsAtMs: next.startsAtMs,
    minutes: next.minutes,
    zones: zones.map(({ zone, side }) => ({ zone, side })),
  });
  return id;
}

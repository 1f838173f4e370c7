// Closes a visit: its plan and care are kept with it, standing facts go back to the card, the next visit is booked. All
// or nothing.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { ok } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { insertBooking, updateClient } from '../repos/clientRepo';
import { putCare, readPlan, readVisit, updateVisit } from '../repos/visitRepo';
import { loadBench, partsOf } from './bench';
import { planCase } from './planCase';
import { standingAfter } from './standingAfter';

export interface CloseVisit {
  readonly version: number;
  readonly next: { readonly startsAtMs: number; readonly minutes: number } | null;
}

export function closeVisit(
  db: Db,
  visitId: string,
  body: CloseVisit,
  nowMs: number,
): ServiceResult<{ readonly visitId: string; readonly bookingId: string | null }> {
  const visit = readVisit(db, visitId);
  const found = visit && partsOf(db, visit);
  if (!visit || !found) return notFound('visit');
  if (visit.status === 'closed') return refused('The visit is closed already.', 'visit');
  if (visit.version !== body.version) {
    const newer = loadBench(db, visitId, nowMs);
    return stale(newer.ok ? newer.value : null);
  }
  if (body.next && body.next.startsAtMs <= nowMs) return refused('The next visit must lie ahead.', 'next.startsAtMs');
  const { parts } = found;
  const planned = planCase(db, parts, nowMs);
  const fixed = visit.planHash === null ? undefined : readPlan(db, visit.planHash);
  const [plan, hash] = fixed ? [fixed, visit.planHash ?? ''] : [planned.plan, planned.hash];
  const bookingId = body.next ? randomUUID() : null;
  const { client } = parts;
  const lasting = standingAfter(client.profile.standing, visit.consult.facts, visit.onDate, 'done');
  db.transaction((tx) => {
    updateVisit(tx, visitId, body.version, {
      status: 'closed',
      closedAtMs: nowMs,
      planHash: hash === '' ? null : hash,
    });
    putCare(
      tx,
      visitId,
      plan.care.map((c) => ({ whenTold: c.when, fromH: c.fromH, toH: c.toH, text: c.text })),
    );
    updateClient(tx, client.id, client.version, {
      profile: {
        ...client.profile,
        standing: lasting,
        sensitivity: visit.consult.sensitivity,
        consentOn: client.profile.consentOn ?? (visit.consult.consent ? visit.onDate : null),
        guardianConsentOn: client.profile.guardianConsentOn ?? (visit.consult.guardianConsent ? visit.onDate : null),
      },
    });
    if (body.next && bookingId) {
      insertBooking(tx, {
        id: bookingId,
        clientId: client.id,
        personId: visit.personId,
        startsAtMs: body.next.startsAtMs,
        minutes: body.next.minutes,
        zones: parts.zones.map(({ zone, side }) => ({ zone, side })),
      });
    }
  });
  return ok({ visitId, bookingId });
}

// Ends a visit without wax: put off to a date, or declined. The visit stays in the record with its reasons, the booking
// is given up, the new one made and the words for the client or the doctor kept, all in one transaction.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { postponeDates } from '../../core/care';
import { judgeCase } from '../../core/plan';
import { isStopped, postponeMessage, referralNote } from '../../core/screening';
import { ok } from '../../core/shared';
import { civilDateAt, dateAndTimeInWords, dateInWords, instantAt, wallTimeAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { bookingsBetween, cancelBooking, insertBooking, readBooking, updateClient } from '../repos/clientRepo';
import { insertMessage } from '../repos/formRepo';
import { hasBegun } from '../../core/hands';
import { journalOf, readVisit, updateVisit, type VisitRow } from '../repos/visitRepo';
import { loadBench, partsOf } from './bench';
import { judgedNow } from './consultRules';
import { buildCase, planCase } from './planCase';
import { standingAfter } from './standingAfter';
import { zonesInWords } from './today';

const DAY_MS = 86_400_000;
const DEFAULT_MINUTES = 30;

export interface PutOffProposal {
  readonly outcome: string;
  readonly earliestOn: string | null;
  readonly minutes: number;
  readonly dates: readonly { readonly on: string; readonly startsAtMs: number; readonly words: string }[];
  /** Words for the client, per date in the order of `dates`, and without a date. */
  readonly messages: readonly string[];
  readonly messageWithoutDate: string;
  readonly referral: string;
}

/** First day on which the hair is long enough for what suits each zone best; null where it is so today. */
function hairReadyOn(db: Db, visit: VisitRow, nowMs: number): string | null {
  const found = partsOf(db, visit);
  if (!found) return null;
  const { plan } = planCase(db, found.parts, nowMs);
  const waits = plan.zones.map((z) => {
    if (z.options.some((o) => o.eligible)) return null;
    return (
      z.options
        .flatMap((o) => (o.excludedBy.every((c) => c === 'hair.too-short') ? (o.readyOn ?? []) : []))
        .sort()[0] ?? null
    );
  });
  return waits.reduce<string | null>((late, d) => (d !== null && (late === null || d > late) ? d : late), null);
}

/** Dates that suit, and the words, as the answer stands now. */
export function proposePutOff(db: Db, visitId: string, nowMs: number): ServiceResult<PutOffProposal> {
  const visit = readVisit(db, visitId);
  const found = visit && partsOf(db, visit);
  if (!visit || !found) return notFound('visit');
  const { client, studio, person, zones } = found.parts;
  const judgement = judgeCase(buildCase(found.parts));
  const booking = visit.bookingId === null ? undefined : readBooking(db, visit.bookingId);
  const { hour, minute } = booking ? wallTimeAt(booking.startsAtMs, studio.timeZone) : { hour: 10, minute: 0 };
  const minutes = booking?.minutes ?? DEFAULT_MINUTES;
  const isFree = (on: string): boolean => {
    const start = instantAt(on, hour, minute, studio.timeZone);
    return bookingsBetween(db, start - DAY_MS, start + DAY_MS).every(
      (b) =>
        b.personId !== person.id ||
        b.startsAtMs + b.minutes * 60_000 <= start ||
        b.startsAtMs >= start + minutes * 60_000,
    );
  };
  const today = civilDateAt(nowMs, studio.timeZone);
  const earliestOn =
    judgement.earliestOn ??
    (judgement.reasons.some((r) => r.outcome === 'postpone') ? null : judgement.outcome === 'decline' ? null : today);
  const days = postponeDates({
    today,
    earliestOn,
    readyOn: hairReadyOn(db, visit, nowMs),
    blackouts: client.profile.blackout,
    isFree,
  });
  const dates = days.map((on) => {
    const startsAtMs = instantAt(on, hour, minute, studio.timeZone);
    return { on, startsAtMs, words: dateAndTimeInWords(startsAtMs, studio.timeZone) };
  });
  const input = {
    clientName: client.name.split(' ')[0] ?? client.name,
    studioName: studio.name,
    practitionerName: person.name,
    what: zonesInWords(zones),
    reasons: judgement.reasons,
  };
  return ok({
    outcome: judgement.outcome,
    earliestOn: judgement.earliestOn,
    minutes,
    dates,
    messages: dates.map((d) => postponeMessage(input, d.words, null)),
    messageWithoutDate: postponeMessage(
      input,
      null,
      judgement.earliestOn === null ? null : dateInWords(judgement.earliestOn),
    ),
    referral: referralNote({ ...input, clientName: client.name }, dateInWords(visit.onDate)),
  });
}

export interface PutOff {
  readonly version: number;
  readonly as: 'postponed' | 'declined';
  readonly next: { readonly startsAtMs: number; readonly minutes: number } | null;
  readonly words: string;
  /** Into the simulated post box. */
  readonly post: boolean;
}

export function putOff(
  db: Db,
  visitId: string,
  body: PutOff,
  nowMs: number,
): ServiceResult<{ readonly bookingId: string | null }> {
  const visit = readVisit(db, visitId);
  const found = visit && partsOf(db, visit);
  if (!visit || !found) return notFound('visit');
  if (visit.status === 'closed') return refused('The visit is closed already.', 'visit');
  if (hasBegun(journalOf(db, visitId))) return refused('Wax has been laid: the visit is ended under Return.', 'visit');
  if (visit.version !== body.version) {
    const newer = loadBench(db, visitId, nowMs);
    return stale(newer.ok ? newer.value : null);
  }
  if (body.next && body.next.startsAtMs <= nowMs) return refused('The new time must lie ahead.', 'next.startsAtMs');
  if (body.as === 'declined' && body.next) return refused('A declined visit is not booked anew.', 'next');
  const { client } = found.parts;
  const judged = judgedNow(found.parts, nowMs);
  if (
    body.next &&
    judged.earliestOn !== null &&
    civilDateAt(body.next.startsAtMs, found.parts.studio.timeZone) < judged.earliestOn
  ) {
    return refused(`Not before ${dateInWords(judged.earliestOn)}: the skin is not ready.`, 'next.startsAtMs');
  }
  if (body.next && judged.earliestOn === null && judged.reasons.some((r) => isStopped(r.outcome))) {
    return refused('No date can be named yet: it waits for the doctor’s word.', 'next');
  }
  const bookingId = body.next ? randomUUID() : null;
  db.transaction((tx) => {
    updateVisit(tx, visitId, body.version, {
      status: 'closed',
      endedAs: body.as,
      closedAtMs: nowMs,
      consult: { ...visit.consult, judged },
    });
    // what stopped this visit must be known at the next one
    updateClient(tx, client.id, client.version, {
      profile: {
        ...client.profile,
        standing: standingAfter(client.profile.standing, visit.consult.facts, visit.onDate, 'not-done'),
      },
    });
    if (visit.bookingId !== null) cancelBooking(tx, visit.bookingId);
    if (body.next && bookingId) {
      insertBooking(tx, {
        id: bookingId,
        clientId: visit.clientId,
        personId: visit.personId,
        startsAtMs: body.next.startsAtMs,
        minutes: body.next.minutes,
        zones: found.parts.zones.map(({ zone, side }) => ({ zone, side })),
      });
    }
    if (body.words.trim() !== '') {
      insertMessage(tx, {
        id: randomUUID(),
        clientId: visit.clientId,
        visitId,
        kind: body.as === 'postponed' ? 'postponed' : 'referral',
        words: body.words,
        createdAtMs: nowMs,
        postedAtMs: body.post ? nowMs : null,
      });
    }
  });
  return ok({ bookingId });
}

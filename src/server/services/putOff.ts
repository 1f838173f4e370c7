// Ends a visit without wax: put off to a date, or declined. The visit stays in the record with its reasons, the booking
// is given up, the new one made and the words for the client or the doctor kept, all in one transaction.

import { withHeat } from '../../formats/heat';
import 'server-only';
import { randomUUID } from 'node:crypto';
import { postponeDates } from '../../core/care';
import { holdsFrom } from '../../core/matching';
import { judgeCase } from '../../core/plan';
import { isStopped, postponeMessage, referralNote } from '../../core/screening';
import { ok } from '../../core/shared';
import { civilDateAt, dateAndTimeInWords, dateInWords, instantAt, wallTimeAt } from '../clock';
import { atomically, mustWrite } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { cancelBooking, readBooking, updateClient } from '../repos/clientRepo';
import { insertMessage } from '../repos/formRepo';
import { prunePlans } from '../repos/planRepo';
import { hasBegun } from '../../core/hands';
import { journalOf } from '../repos/journalRepo';
import { readVisit, updateVisit, type VisitRow } from '../repos/visitRepo';
import { loadBench, partsOf } from './bench';
import { judgedNow } from './consultRules';
import { buildCase, neededPlan, type CaseParts } from './planCase';
import { bookNext, nextFault } from './closeVisit';
import { standingAfter } from './standingAfter';
import { takenBy } from './placeTaken';
import { zonesInWords } from './zonesInWords';

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
  const owner = { kind: 'visit', id: visit.id } as const;
  const { plan } = neededPlan(db, found.parts, nowMs, { owner, priority: 'visit' });
  const waits = plan.zones.map((z) => {
    if (z.options.some((o) => o.eligible)) return null;
    return holdsFrom(z.options);
  });
  return waits.reduce<string | null>((late, d) => (d !== null && (late === null || d > late) ? d : late), null);
}

/** The answer as if consent were there: a visit that is moved asks for it again, it names no day. */
function judgedForDates(parts: CaseParts): ReturnType<typeof judgeCase> {
  const visitCase = buildCase(parts);
  return judgeCase({ ...visitCase, client: { ...visitCase.client, consent: true, guardianConsent: true } });
}

/** Dates that suit, and the words, as the answer stands now. */
export function proposePutOff(db: Db, visitId: string, nowMs: number): ServiceResult<PutOffProposal> {
  const visit = readVisit(db, visitId);
  const found = visit && partsOf(db, visit);
  if (!visit || !found) return notFound('visit');
  const { client, studio, person, zones } = found.parts;
  const judgement = judgedForDates(found.parts);
  const booking = visit.bookingId === null ? undefined : readBooking(db, visit.bookingId);
  const { hour, minute } = booking ? wallTimeAt(booking.startsAtMs, studio.timeZone) : { hour: 10, minute: 0 };
  const minutes = booking?.minutes ?? DEFAULT_MINUTES;
  const isFree = (on: string): boolean => {
    const startsAtMs = instantAt(on, hour, minute, studio.timeZone);
    return takenBy(db, { personId: person.id, startsAtMs, minutes }, visit.bookingId ?? undefined) === null;
  };
  const today = civilDateAt(nowMs, studio.timeZone);
  // a stop without a date waits for someone's word; what is only adapted may be moved to any day
  const isOpen = judgement.outcome === 'decline' || judgement.reasons.some((r) => r.outcome === 'postpone');
  const earliestOn = judgement.earliestOn ?? (isOpen ? null : today);
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
    messages: dates.map((d) => withHeat(postponeMessage(input, d.words, null))),
    messageWithoutDate: withHeat(
      postponeMessage(input, null, judgement.earliestOn === null ? null : dateInWords(judgement.earliestOn)),
    ),
    referral: withHeat(referralNote({ ...input, clientName: client.name }, dateInWords(visit.onDate))),
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

/** Why a visit cannot be put off as asked; null where it can. */
function putOffFault(
  body: PutOff,
  { parts, nowMs }: { readonly parts: CaseParts; readonly nowMs: number },
): ServiceResult<never> | null {
  const { next } = body;
  if (!next) return null;
  const { timeZone } = parts.studio;
  const judged = judgedForDates(parts);
  if (next.startsAtMs <= nowMs) return refused('The new time must lie ahead.', 'next.startsAtMs');
  if (body.as === 'declined') return refused('A declined visit is not booked anew.', 'next');
  if (judged.earliestOn !== null && civilDateAt(next.startsAtMs, timeZone) < judged.earliestOn) {
    return refused(`Not before ${dateInWords(judged.earliestOn)}: the skin is not ready.`, 'next.startsAtMs');
  }
  if (judged.earliestOn === null && judged.reasons.some((r) => isStopped(r.outcome))) {
    return refused('No date can be named yet: it waits for the doctor’s word.', 'next');
  }
  return null;
}

export function putOff(
  db: Db,
  visitId: string,
  body: PutOff,
  nowMs: number,
): ServiceResult<{ readonly bookingId: string | null }> {
  return atomically(db, () => {
    const visit = readVisit(db, visitId);
    const found = visit && partsOf(db, visit);
    if (!visit || !found) return notFound('visit');
    if (visit.status === 'closed') return refused('The visit is closed already.', 'visit');
    if (hasBegun(journalOf(db, visitId))) {
      return refused('Wax has been laid: the visit is ended under Return.', 'visit');
    }
    if (visit.version !== body.version) {
      const newer = loadBench(db, visitId, nowMs);
      return stale(newer.ok ? newer.value : null);
    }
    const { parts } = found;
    const judged = judgedNow(parts, nowMs);
    const fault = putOffFault(body, { parts, nowMs });
    if (fault) return fault;
    // its own hour is free again
    if (visit.bookingId !== null) cancelBooking(db, visit.bookingId);
    const taken = nextFault(db, body.next, { personId: visit.personId, nowMs }, 'next.startsAtMs');
    if (taken) return taken;
    const ended = {
      status: 'closed' as const,
      endedAs: body.as,
      closedAtMs: nowMs,
      consult: { ...visit.consult, judged },
    };
    mustWrite(updateVisit(db, visitId, body.version, ended), 'the visit');
    keepHeard(db, parts, visit);
    prunePlans(db, { kind: 'visit', id: visitId }, 0);
    if (body.words.trim() !== '') {
      insertMessage(db, {
        id: randomUUID(),
        clientId: visit.clientId,
        visitId,
        kind: body.as === 'postponed' ? 'postponed' : 'referral',
        words: body.words,
        createdAtMs: nowMs,
        postedAtMs: body.post ? nowMs : null,
      });
    }
    return ok({ bookingId: body.next ? bookNext(db, parts, body.next) : null });
  });
}

/** What stopped this visit must be known at the next one. */
function keepHeard(db: Db, { client }: CaseParts, { consult, onDate }: VisitRow): void {
  const { profile } = client;
  const standing = standingAfter(profile.standing, consult.facts, onDate, 'not-done');
  mustWrite(updateClient(db, client.id, client.version, { profile: { ...profile, standing } }), 'the card');
}

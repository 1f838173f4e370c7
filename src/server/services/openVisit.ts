// Opens a visit from a booking, or for a client who has walked in. Opening twice gives the same visit.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { offeredChoice } from '../../core/agreement';
import type { Side, ZoneId } from '../../core/anatomy';
import { sidesOf, ZONES, zoneKey } from '../../core/anatomy';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { ASKED_ONCE, type FoundFact } from '../../core/screening';
import type { ClientProfile, Consult, ZoneRef } from '../db/schema';
import { notFound, refused, type ServiceResult } from '../errors';
import { readBooking, readClient, type ClientRow } from '../repos/clientRepo';
import { readPeople, readPerson, readStudio } from '../repos/studioRepo';
import { insertVisit, lastConsult, putChart, visitOfBooking } from '../repos/visitRepo';
import { bodyOf, chartOnSheet } from './chartOnSheet';
import { clientMarks, startingChart, zonePasts } from './history';
import { waxedBefore } from './waxedBefore';

export interface OpenVisit {
  readonly bookingId?: string;
  readonly clientId?: string;
  readonly personId?: string;
  readonly zones?: readonly ZoneRef[];
}

/** Lasting facts that hold on a date, without what only the card knows. */
export const standingFacts = (profile: ClientProfile, on: string): readonly FoundFact[] =>
  profile.standing
    .filter((f) => f.until === undefined || f.until >= on)
    .map(({ fact, lastOn, zones, clearance }) => ({
      fact,
      ...(lastOn === undefined ? {} : { lastOn }),
      ...(zones === undefined ? {} : { zones }),
      ...(clearance === undefined ? {} : { clearance }),
    }));

/**
 * The consultation as it stands before anyone has asked: the card's lasting facts, consent as on file, what was agreed
 * last time.
 */
export function startingConsult(client: ClientRow, on: string, last: Consult | undefined): Consult {
  const { profile } = client;
  return {
    v: 2,
    facts: standingFacts(profile, on),
    consent: profile.consentOn !== null,
    guardianConsent: profile.guardianConsentOn !== null,
    sensitivity: profile.sensitivity,
    // what is asked once was asked at an earlier visit; what changes is asked each time
    asked: (last?.asked ?? []).filter((f) => ASKED_ONCE.includes(f)),
    unsure: [],
    spots: [],
    services: [],
    overrides: [],
    judged: null,
    confirmedAtMs: null,
    agreed: last
      ? {
          ...last.agreed,
          // what is offered no more is asked anew
          howMuch: last.agreed.howMuch.flatMap((h) => {
            const choice = offeredChoice(h.zone, h.choice);
            return choice === undefined ? [] : [{ ...h, choice }];
          }),
          words: '',
        }
      : { howMuch: [], coldPack: false, company: 'either', tweezing: true, words: '' },
  };
}

export function zoneRefFault(zones: readonly { readonly zone: ZoneId; readonly side: Side }[]): string | null {
  const wrong = zones.find((z) => !sidesOf(ZONES[z.zone]).includes(z.side));
  if (wrong) return `${ZONES[wrong.zone].name} has no ${wrong.side} side.`;
  const keys = zones.map(zoneKey);
  return keys.some((k, i) => keys.indexOf(k) < i) ? 'A zone is given twice.' : null;
}

/** Opens a visit; a booking has one, whoever asks for it and how often. */
export function openVisit(db: Db, request: OpenVisit, nowMs: number): ServiceResult<{ readonly visitId: string }> {
  return atomically(db, () => opened(db, request, nowMs));
}

function opened(db: Db, request: OpenVisit, nowMs: number): ServiceResult<{ readonly visitId: string }> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const booking = request.bookingId === undefined ? undefined : readBooking(db, request.bookingId);
  if (request.bookingId !== undefined && !booking) return notFound('booking');
  const known = booking && visitOfBooking(db, booking.id);
  if (known) return ok({ visitId: known.id });
  if (booking && booking.status !== 'booked') return refused('This booking was given up.', 'bookingId');
  const client = readClient(db, booking?.clientId ?? request.clientId ?? '');
  if (!client) return notFound('client');
  const personId = booking?.personId ?? request.personId ?? readPeople(db)[0]?.id ?? '';
  if (!readPerson(db, personId)) return notFound('person');
  const zones = booking?.zones ?? request.zones ?? [];
  const fault = zoneRefFault(zones);
  if (fault) return refused(fault, 'zones');
  const on = civilDateAt(booking?.startsAtMs ?? nowMs, studio.timeZone);
  const pasts = zonePasts(db, client.id);
  const marks = clientMarks(db, client.id);
  const before = waxedBefore(db, client.id, on);
  const body = bodyOf(client);
  const visitId = randomUUID();
  insertVisit(db, {
    id: visitId,
    bookingId: booking?.id ?? null,
    clientId: client.id,
    personId,
    onDate: on,
    status: 'open',
    consult: startingConsult(client, on, lastConsult(db, client.id)),
    createdAtMs: nowMs,
  });
  zones.forEach((z, place) => {
    const chart = startingChart(z.zone, pasts.get(zoneKey(z)), on, marks.get(zoneKey(z)), before.get(zoneKey(z)));
    putChart(db, visitId, z, { place, data: chartOnSheet(z.zone, z.side, chart, body), version: 1 });
  });
  return ok({ visitId });
}

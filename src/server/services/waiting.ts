// Who waits for a place, each with the first one that suits: free with the person they want, on their days and hours,
// in the window of their hair.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { freePlaces, weekdayOf } from '../../core/calendar';
import { careCatalogue } from '../../core/care';
import { addDays, laterDate, ok } from '../../core/shared';
import { cardTime } from '../../formats/careCard';
import { civilDateAt, instantAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { bookingsOfClient, clientName, readClient } from '../repos/clientRepo';
import { deleteWaiting, putWaiting, waitingClients, type WaitingRow } from '../repos/deskRepo';
import { insertMessage, lastOffer } from '../repos/formRepo';
import { readPeople, readPerson, readStudio, type StudioRow } from '../repos/studioRepo';
import { busyOf, minuteAt, workedOn } from './freeTime';
import { readyList, type ReadyLine } from './outlook';
import { takenBy } from './placeTaken';
import { zonesInWords } from './zonesInWords';
import { ownMessage } from './ownMessages';
import { placesOf } from './postBox';

export interface NewWaiting {
  readonly clientId: string;
  readonly personId: string | null;
  readonly weekdays: readonly number[];
  readonly fromMin: number;
  readonly toMin: number;
  readonly words: string;
}

export interface WaitingLine {
  readonly clientId: string;
  readonly name: string;
  readonly what: string;
  readonly words: string;
  /** The first place that suits; null where there is none in sight. */
  readonly offer: {
    readonly startsAtMs: number;
    readonly personId: string;
    readonly person: string;
    readonly minutes: number;
  } | null;
  /** Why there is none, or from when the hair is ready. */
  readonly why: string;
  /** When a place was last offered by message since they wait; null = not yet. */
  readonly offeredAtMs: number | null;
}

const USUAL_MINUTES = 30;
/** So far ahead a place is looked for; beyond a window that is not known, too. */
const AHEAD_DAYS = 42;

export function addWaiting(db: Db, body: NewWaiting, nowMs: number): ServiceResult<null> {
  return atomically(db, () => {
    if (!readClient(db, body.clientId)) return notFound('client');
    if (body.personId !== null && !readPerson(db, body.personId)) return notFound('person');
    if (body.toMin <= body.fromMin) return refused('The hours end before they begin.', 'toMin');
    putWaiting(db, { ...body, id: randomUUID(), createdAtMs: nowMs });
    return ok(null);
  });
}

export const removeWaiting = (db: Db, clientId: string): ServiceResult<null> =>
  deleteWaiting(db, clientId) ? ok(null) : notFound('waiting');

/** The first and the last day that can be had. */
function spanOf(line: ReadyLine | undefined, today: string): readonly [string, string] {
  const first = laterDate(today, line?.fromOn ?? today);
  const far = addDays(first, AHEAD_DAYS);
  const closes = line?.toOn ?? far;
  // a window that has closed is no reason to come later still
  const last = closes < first ? far : closes;
  return [first, last];
}

function offerOf(
  db: Db,
  row: WaitingRow,
  { studio, line, minutes, nowMs }: { studio: StudioRow; line: ReadyLine | undefined; minutes: number; nowMs: number },
): WaitingLine['offer'] {
  const { timeZone } = studio;
  const today = civilDateAt(nowMs, timeZone);
  const [first, last] = spanOf(line, today);
  const people = readPeople(db).filter((p) => row.personId === null || p.id === row.personId);
  const busy = new Map(people.map((p) => [p.id, busyOf(db, { personId: p.id, fromOn: first, toOn: last }, timeZone)]));
  const past = minuteAt(nowMs, timeZone);
  for (let on = first; on <= last; on = addDays(on, 1)) {
    if (!row.weekdays.includes(weekdayOf(on))) continue;
    const places = people.flatMap((p) => {
      const taken = (busy.get(p.id) ?? []).filter((b) => b.on === on);
      return freePlaces(workedOn(studio, p.id, on), taken, minutes)
        .filter(({ startMin }) => startMin >= row.fromMin && startMin + minutes <= row.toMin)
        .filter(({ startMin }) => on > today || startMin > past)
        .map(({ startMin }) => ({ startMin, personId: p.id, person: p.name }));
    });
    const [place] = places.sort((a, b) => a.startMin - b.startMin);
    if (place) {
      const { startMin, ...who } = place;
      const startsAtMs = instantAt(on, Math.floor(startMin / 60), startMin % 60, timeZone);
      return { ...who, startsAtMs, minutes };
    }
  }
  return null;
}

export function waitingList(db: Db, nowMs: number): readonly WaitingLine[] {
  const studio = readStudio(db);
  const rows = waitingClients(db);
  if (!studio || rows.length === 0) return [];
  const { lines } = readyList(
    db,
    nowMs,
    rows.map((r) => r.clientId),
  );
  return rows.map((row) => {
    const { clientId, words } = row;
    const line = lines.find((l) => l.clientId === clientId);
    const [last] = bookingsOfClient(db, clientId);
    const minutes = last?.minutes ?? USUAL_MINUTES;
    const offer = offerOf(db, row, { studio, line, minutes, nowMs });
    return {
      ...{ clientId, words, offer, name: clientName(db, clientId) },
      what: line?.what ?? zonesInWords(last?.zones ?? []),
      why: offer ? '' : 'Nothing that suits is free in the window.',
      offeredAtMs: lastOffer(db, clientId, row.createdAtMs),
    };
  });
}

export interface Offer {
  readonly personId: string;
  readonly startsAtMs: number;
  readonly minutes: number;
}

/** Offers a place to somebody who waits, as a message in the simulated post box; the place is not kept by it. */
export function offerPlace(
  db: Db,
  clientId: string,
  offer: Offer,
  nowMs: number,
): ServiceResult<{ readonly id: string }> {
  return atomically(db, () => {
    const client = readClient(db, clientId);
    const person = readPerson(db, offer.personId);
    if (!client || !waitingClients(db).some((w) => w.clientId === clientId)) return notFound('waiting');
    if (!person) return notFound('person');
    if (offer.startsAtMs <= nowMs) return refused('That time is past.', 'startsAtMs');
    const why = takenBy(db, offer);
    if (why !== null) return refused(`That time ${why}.`, 'startsAtMs');
    const { language } = client.profile;
    const when = cardTime(offer.startsAtMs, readStudio(db)?.timeZone ?? 'UTC', language);
    const own = ownMessage(db, 'offer', language, placesOf(db, { ...offer, clientId }, when));
    const words = own ?? careCatalogue(language).post.offer(when, person.name, offer.minutes);
    const id = randomUUID();
    insertMessage(db, { id, clientId, visitId: null, kind: 'offer', words, createdAtMs: nowMs, postedAtMs: nowMs });
    return ok({ id });
  });
}

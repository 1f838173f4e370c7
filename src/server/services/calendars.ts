// A practitioner's visits as a calendar: a file, or a private address that a calendar program asks again and again.

import 'server-only';
import { createHash, randomBytes } from 'node:crypto';
import { writeCalendar } from '../../formats/calendarFile';
import { ok } from '../../core/shared';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { bookingsBetween, clientName } from '../repos/clientRepo';
import { personByFeed, setFeedHash } from '../repos/deskRepo';
import { readPerson } from '../repos/studioRepo';

const DAY_MS = 86_400_000;
const BEFORE_DAYS = 30;
const AHEAD_DAYS = 400;
const TOKEN_BYTES = 24;

/** First name and initial: no more goes into another program. */
export function shortName(name: string): string {
  const [first = '', ...rest] = name.trim().split(/\s+/);
  const last = rest.at(-1);
  return last ? `${first} ${last.charAt(0)}.` : first;
}

/** The text of the .ics file. */
export function calendarOf(db: Db, personId: string, nowMs: number): ServiceResult<string> {
  const person = readPerson(db, personId);
  if (!person) return notFound('person');
  const rows = bookingsBetween(db, nowMs - BEFORE_DAYS * DAY_MS, nowMs + AHEAD_DAYS * DAY_MS);
  const events = rows
    .filter((b) => b.personId === personId)
    .map((b) => ({
      uid: b.id,
      fromMs: b.startsAtMs,
      toMs: b.startsAtMs + b.minutes * 60_000,
      title: shortName(clientName(db, b.clientId)),
      sequence: b.version,
    }));
  const written = writeCalendar(person.name, events);
  return written.ok ? written : refused(written.error.message, 'calendar');
}

/** The file holds no address that opens anything: only its hash. */
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** The calendar behind a private address. */
export function feedOf(db: Db, token: string, nowMs: number): ServiceResult<string> {
  const person = personByFeed(db, hashOf(token));
  return person ? calendarOf(db, person.id, nowMs) : notFound('calendar');
}

/** Makes a private address anew, or closes it: the one before opens nothing any more. */
export function changeFeed(db: Db, personId: string, open: boolean): ServiceResult<{ readonly token: string | null }> {
  const token = open ? randomBytes(TOKEN_BYTES).toString('base64url') : null;
  return setFeedHash(db, personId, token === null ? null : hashOf(token)) ? ok({ token }) : notFound('person');
}

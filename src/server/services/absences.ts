// When a practitioner is away: said by hand, or read out of their own calendar; a calendar that comes again replaces
// what the one before brought from now on.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { readCalendar } from '../../formats/calendarFile';
import { ok } from '../../core/shared';
import { dateAndTimeInWords, instantAt } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { bookingsBetween, clientName } from '../repos/clientRepo';
import { deleteAbsence, dropImported, insertAbsence } from '../repos/deskRepo';
import { readPerson, readStudio } from '../repos/studioRepo';

export interface NewAbsence {
  readonly personId: string;
  readonly fromMs: number;
  readonly toMs: number;
  readonly why: string;
}

/** What is booked already where somebody is away: it stays, and is said. */
export interface Away {
  readonly meets: readonly string[];
}

const DAY_MS = 86_400_000;
const AHEAD_DAYS = 400;
const LONGEST_DAYS = 366;

function meetsOf(db: Db, { personId, fromMs, toMs }: Omit<NewAbsence, 'why'>, timeZone: string): readonly string[] {
  return bookingsBetween(db, fromMs - DAY_MS, toMs)
    .filter((b) => b.personId === personId && b.startsAtMs < toMs && b.startsAtMs + b.minutes * 60_000 > fromMs)
    .map((b) => `${clientName(db, b.clientId)}, ${dateAndTimeInWords(b.startsAtMs, timeZone)}`);
}

export function addAbsence(db: Db, body: NewAbsence, nowMs: number): ServiceResult<Away & { readonly id: string }> {
  return atomically(db, () => {
    if (!readPerson(db, body.personId)) return notFound('person');
    if (body.toMs <= body.fromMs) return refused('It ends before it begins.', 'toMs');
    if (body.toMs <= nowMs) return refused('That time is past.', 'toMs');
    if (body.toMs - body.fromMs > LONGEST_DAYS * DAY_MS) return refused('That is longer than a year.', 'toMs');
    const id = randomUUID();
    insertAbsence(db, { ...body, id, source: 'hand' });
    return ok({ id, meets: meetsOf(db, body, readStudio(db)?.timeZone ?? 'UTC') });
  });
}

export const removeAbsence = (db: Db, id: string): ServiceResult<null> =>
  deleteAbsence(db, id) ? ok(null) : notFound('absence');

export interface CalendarImport {
  readonly text: string;
  /** False = only looked at, nothing is written. */
  readonly write: boolean;
}

export interface CalendarRead extends Away {
  readonly count: number;
  /** Events that leave the time free, and events too far away. */
  readonly free: number;
  readonly outside: number;
  /** The first few, to be looked at. */
  readonly first: readonly { readonly fromMs: number; readonly toMs: number; readonly why: string }[];
}

const SHOWN = 6;

/** Busy times of a practitioner's own calendar, from now on; all or nothing. */
export function importCalendar(
  db: Db,
  personId: string,
  { text, write }: CalendarImport,
  nowMs: number,
): ServiceResult<CalendarRead> {
  return atomically(db, () => {
    const studio = readStudio(db);
    if (!studio || !readPerson(db, personId)) return notFound('person');
    const { timeZone } = studio;
    const window = { fromMs: nowMs, toMs: nowMs + AHEAD_DAYS * DAY_MS, timeZone, instantAt };
    const read = readCalendar(text, window);
    if (!read.ok) return refused(`${read.error.message} Nothing was changed.`, 'file');
    const { busy, free, outside } = read.value;
    if (write) {
      dropImported(db, personId, nowMs);
      for (const { fromMs, toMs, title } of busy) {
        insertAbsence(db, { id: randomUUID(), personId, fromMs, toMs, why: title || 'busy', source: 'calendar' });
      }
    }
    return ok({
      count: busy.length,
      free,
      outside,
      first: busy.slice(0, SHOWN).map(({ fromMs, toMs, title }) => ({ fromMs, toMs, why: title || 'busy' })),
      meets: busy.flatMap(({ fromMs, toMs }) => meetsOf(db, { personId, fromMs, toMs }, timeZone)).slice(0, SHOWN),
    });
  });
}

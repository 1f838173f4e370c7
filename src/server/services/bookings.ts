// Booking ahead: made, moved, given up, not come. What clashes is refused with the nearest place that is free.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { ok } from '../../core/shared';
import { civilDateAt, timeInWords } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import { insertBooking, readBooking, updateBooking, type BookingRow } from '../repos/clientRepo';
import { deleteWaiting } from '../repos/deskRepo';
import { readPerson, readStudio } from '../repos/studioRepo';
import { visitOfBooking } from '../repos/visitRepo';
import { bookingWanted } from './bookingWanted';
import { sameHourOn } from './freeTime';
import { takenBy, type WantedPlace } from './placeTaken';

export interface NewBooking {
  readonly clientId: string;
  readonly personId: string;
  readonly startsAtMs: number;
  /** Absent = as long as it takes by what is known. */
  readonly minutes?: number | undefined;
  /** Absent or empty = what they last came for. */
  readonly services?: readonly string[] | undefined;
  /** The client was on the waiting list for it, and waits no more. */
  readonly waited?: boolean | undefined;
  /** No wax: a patch test, a talk. */
  readonly withoutZones?: boolean | undefined;
  /** A word on it. */
  readonly note?: string | undefined;
}

export interface Booked {
  readonly id: string;
  readonly startsAtMs: number;
}

/** Why a booking cannot be there; the nearest free start stands with it. Null where it can. */
function placeFault(
  db: Db,
  wanted: WantedPlace,
  { nowMs, but = '' }: { nowMs: number; but?: string },
): ServiceResult<never> | null {
  if (!readPerson(db, wanted.personId)) return notFound('person');
  if (wanted.startsAtMs <= nowMs) return refused('A booking lies ahead: that time is past.', 'startsAtMs');
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  const why = takenBy(db, wanted, but);
  if (why === null) return null;
  const on = civilDateAt(wanted.startsAtMs, timeZone);
  const nearest = sameHourOn(db, { ...wanted, id: but }, on, nowMs);
  const free = nearest === null ? 'Nothing is free that day.' : `${timeInWords(nearest, timeZone)} is free.`;
  return {
    ok: false,
    error: {
      code: 'refused',
      message: `${timeInWords(wanted.startsAtMs, timeZone)} ${why}. ${free}`,
      details: [{ path: 'startsAtMs', message: nearest === null ? '' : String(nearest) }],
    },
  };
}

/** Books a client who is on file, for the services chosen or for what they last came for. */
export function book(db: Db, body: NewBooking, nowMs: number): ServiceResult<Booked> {
  return atomically(db, () => {
    const { clientId, personId, startsAtMs } = body;
    const wanted = bookingWanted(db, body);
    if (!wanted.ok) return wanted;
    const zones = body.withoutZones ? [] : wanted.value.zones;
    const minutes = body.minutes ?? wanted.value.minutes;
    const fault = placeFault(db, { personId, startsAtMs, minutes }, { nowMs });
    if (fault) return fault;
    const id = randomUUID();
    if (body.waited) deleteWaiting(db, clientId);
    insertBooking(db, { id, clientId, personId, startsAtMs, minutes, zones, note: body.note ?? '' });
    return ok({ id, startsAtMs });
  });
}

export type ChangeBooking =
  | { readonly version: number; readonly personId: string; readonly startsAtMs: number; readonly minutes: number }
  | { readonly version: number; readonly status: BookingRow['status'] };

/** Moves a booking, gives it up, or says that nobody came; one whose visit was opened stays where it is. */
export function changeBooking(db: Db, id: string, body: ChangeBooking, nowMs: number): ServiceResult<Booked> {
  return atomically(db, () => {
    const booking = readBooking(db, id);
    if (!booking) return notFound('booking');
    if (visitOfBooking(db, id)) return refused('Its visit was opened: it stays where it is.', 'booking');
    if ('status' in body) {
      if (body.status === 'missed' && booking.startsAtMs > nowMs) {
        return refused('It has not begun yet: nobody can have missed it.', 'status');
      }
      const back = body.status === 'booked' && booking.status !== 'booked';
      if (back && takenBy(db, booking, id) !== null) return refused('Its place has been taken meanwhile.', 'status');
      const { version, status } = body;
      return updateBooking(db, id, version, { status }) ? ok({ id, startsAtMs: booking.startsAtMs }) : stale(null);
    }
    if (booking.status !== 'booked') return refused('This booking was given up.', 'booking');
    const { version, ...to } = body;
    const fault = placeFault(db, to, { nowMs, but: id });
    if (fault) return fault;
    return updateBooking(db, id, version, to) ? ok({ id, startsAtMs: to.startsAtMs }) : stale(null);
  });
}

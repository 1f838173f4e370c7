// Booking ahead: made, moved, given up, not come. What clashes is refused with the nearest place that is free.

import 'server-only';
import { randomUUID } from 'node:crypto';
import { TURNOVER_MIN } from '../../core/materials';
import { ok } from '../../core/shared';
import { civilDateAt, timeInWords } from '../clock';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import {
  bookingsOfClient,
  clashingBooking,
  clientName,
  insertBooking,
  readBooking,
  readClient,
  updateBooking,
  type BookingRow,
} from '../repos/clientRepo';
import { absencesBetween, deleteWaiting } from '../repos/deskRepo';
import { readPerson, readStudio } from '../repos/studioRepo';
import { chartsOf, closedVisits, visitOfBooking } from '../repos/visitRepo';
import { isSameZones, lengthFor } from './bookingLength';
import { sameHourOn } from './freeTime';

export interface NewBooking {
  readonly clientId: string;
  readonly personId: string;
  readonly startsAtMs: number;
  readonly minutes?: number | undefined;
  /** The client was on the waiting list for it, and waits no more. */
  readonly waited?: boolean | undefined;
}

export interface Booked {
  readonly id: string;
  readonly startsAtMs: number;
}

/** Where a booking is wanted. */
type Wanted = Pick<BookingRow, 'personId' | 'startsAtMs' | 'minutes'>;

const USUAL_MINUTES = 30;

/** Why a booking cannot be there; the nearest free start stands with it. Null where it can. */
function placeFault(
  db: Db,
  wanted: Wanted,
  { nowMs, but = '' }: { nowMs: number; but?: string },
): ServiceResult<never> | null {
  if (!readPerson(db, wanted.personId)) return notFound('person');
  if (wanted.startsAtMs <= nowMs) return refused('A booking lies ahead: that time is past.', 'startsAtMs');
  const timeZone = readStudio(db)?.timeZone ?? 'UTC';
  const why = clashWords(db, wanted, but);
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

/** What a place meets; null where nothing. */
function clashWords(db: Db, wanted: Wanted, but: string): string | null {
  const { personId, startsAtMs, minutes } = wanted;
  const taken = clashingBooking(db, wanted, but);
  if (taken) return `meets ${clientName(db, taken.clientId).split(' ')[0] ?? ''}’s visit`;
  const [away] = absencesBetween(db, startsAtMs, startsAtMs + minutes * 60_000, personId);
  return away ? `is away time of ${readPerson(db, personId)?.name ?? ''}: ${away.why}` : null;
}

/** What the client last came for, and how long that takes: learned where just that was timed, else as last booked. */
function lastTime(db: Db, clientId: string, personId: string): Pick<BookingRow, 'zones' | 'minutes'> | null {
  const [booking] = bookingsOfClient(db, clientId);
  const [visit] = closedVisits(db, clientId, 1);
  // zones are checked on the way in
  const charted = (visit ? chartsOf(db, visit.id) : []).map(({ zone, side }) => ({
    zone,
    side,
  })) as BookingRow['zones'];
  if (!booking && !visit) return null;
  const zones = booking?.zones ?? charted;
  const plannedMin = visit && isSameZones(zones, charted) ? visit.plannedMin : null;
  if (plannedMin === null) return { zones, minutes: booking?.minutes ?? USUAL_MINUTES };
  return {
    zones,
    minutes: lengthFor(db, { clientId, personId, zones, plannedMin, turnoverMin: TURNOVER_MIN }).minutes,
  };
}

/** Books a client who is on file, for what they last came for. */
export function book(db: Db, body: NewBooking, nowMs: number): ServiceResult<Booked> {
  return atomically(db, () => {
    if (!readClient(db, body.clientId)) return notFound('client');
    const { personId, startsAtMs } = body;
    const last = lastTime(db, body.clientId, personId);
    const minutes = body.minutes ?? last?.minutes ?? USUAL_MINUTES;
    const fault = placeFault(db, { personId, startsAtMs, minutes }, { nowMs });
    if (fault) return fault;
    const id = randomUUID();
    if (body.waited) deleteWaiting(db, body.clientId);
    insertBooking(db, { id, clientId: body.clientId, personId, startsAtMs, minutes, zones: last?.zones ?? [] });
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
      const taken = back ? clashingBooking(db, booking, id) : undefined;
      if (taken) return refused('Its place has been taken meanwhile.', 'status');
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

// The week: who works on whom when, within the studio's hours.

import 'server-only';
import { openOn, tablesOf, USUAL_HOURS, type DaySpan } from '../../core/calendar';
import { addDays, ok } from '../../core/shared';
import { weekdayOf } from '../../core/calendar';
import { civilDateAt, instantAt, wallTimeAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { notFound, type ServiceResult } from '../errors';
import { clientName, weekBookings, type BookingRow } from '../repos/clientRepo';
import { absencesBetween } from '../repos/deskRepo';
import { readPeople, readServices, readStudio } from '../repos/studioRepo';
import { visitOfBooking } from '../repos/visitRepo';
import { onWall, workedOn } from './freeTime';
import { readyInWeek, type ReadyLine } from './outlook';
import { waitingList, type WaitingLine } from './waiting';
import { zonesInWords } from './zonesInWords';

export interface WeekBooking extends Pick<
  BookingRow,
  'id' | 'clientId' | 'personId' | 'startsAtMs' | 'minutes' | 'version'
> {
  readonly clientName: string;
  readonly what: string;
  readonly on: string;
  readonly startMin: number;
  readonly state: 'booked' | 'missed' | 'open' | 'done';
  /** The treatment table; null where there is none for it, or none is named. */
  readonly table: string | null;
}

/** A time of a day at which a person is away. */
export interface WeekAway extends DaySpan {
  readonly id: string;
  readonly personId: string;
  readonly on: string;
  readonly why: string;
  readonly source: 'hand' | 'calendar';
}

export interface Week {
  /** The first day of a week as the studio counts it. */
  readonly fromOn: string;
  readonly today: string;
  readonly nowMs: number;
  readonly timeZone: string;
  readonly days: readonly {
    readonly on: string;
    /** Of the studio. */
    readonly open: readonly DaySpan[];
    /** Of each person, by id. */
    readonly works: Readonly<Record<string, readonly DaySpan[]>>;
    readonly why: string;
  }[];
  readonly away: readonly WeekAway[];
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly bookings: readonly WeekBooking[];
  /** Ready by the end of the week and not booked, what closes first on top. */
  readonly ready: readonly ReadyLine[];
  readonly waiting: readonly WaitingLine[];
  /** Names of the treatment tables; empty = no limit. */
  readonly tables: readonly string[];
  readonly services: readonly { readonly id: string; readonly name: string }[];
}

export function bookingOnWall(row: BookingRow, timeZone: string): { readonly on: string; readonly startMin: number } {
  const { hour, minute } = wallTimeAt(row.startsAtMs, timeZone);
  return { on: civilDateAt(row.startsAtMs, timeZone), startMin: 60 * hour + minute };
}

function stateOf(db: Db, row: BookingRow): WeekBooking['state'] {
  if (row.status === 'missed') return 'missed';
  const visit = visitOfBooking(db, row.id);
  if (!visit) return 'booked';
  return visit.status === 'closed' ? 'done' : 'open';
}

/** Each day's visits on the tables; who did not come needs none. */
function onTables(visits: readonly Omit<WeekBooking, 'table'>[], tables: readonly string[]): readonly WeekBooking[] {
  const byId = new Map<string, string | null>();
  for (const on of new Set(visits.map((v) => v.on))) {
    const day = visits.filter((v) => v.on === on && v.state !== 'missed');
    const spans = day.map(({ personId, startMin, minutes }) => ({
      ...{ personId, fromMin: startMin, toMin: startMin + minutes },
    }));
    tablesOf(spans, tables.length).forEach((table, i) => {
      const visit = day[i];
      if (visit && table !== null) byId.set(visit.id, tables[table] ?? null);
    });
  }
  return visits.map((v) => ({ ...v, table: byId.get(v.id) ?? null }));
}

const MOST_READY = 5;

/** @param on any day of the week; absent = this week */
export function loadWeek(db: Db, on: string | undefined, nowMs: number): ServiceResult<Week> {
  const studio = readStudio(db);
  if (!studio) return notFound('studio');
  const { timeZone, settings } = studio;
  const today = civilDateAt(nowMs, timeZone);
  const day = on ?? today;
  const first = studio.settings.firstWeekday ?? 0;
  const fromOn = addDays(day, -((weekdayOf(day) - first + 7) % 7));
  const { hours = USUAL_HOURS, closed = [], tables = [] } = settings;
  const people = readPeople(db);
  const days = Array.from({ length: 7 }, (_, i) => addDays(fromOn, i));
  const [fromMs, toMs] = [instantAt(fromOn, 0, 0, timeZone), instantAt(addDays(fromOn, 7), 0, 0, timeZone)];
  return ok({
    fromOn,
    today,
    nowMs,
    timeZone,
    days: days.map((d) => ({
      on: d,
      open: openOn(hours, closed, d),
      works: Object.fromEntries(people.map((p) => [p.id, workedOn(studio, p.id, d)])),
      why: closed.find((c) => c.from <= d && d <= c.to)?.why ?? '',
    })),
    people: people.map(({ id, name }) => ({ id, name })),
    away: absencesBetween(db, fromMs, toMs).flatMap(({ id, personId, why, source, ...span }) =>
      onWall(Math.max(fromMs, span.fromMs), Math.min(toMs, span.toMs), timeZone).map((s) => ({
        ...{ id, personId, why, source, ...s },
      })),
    ),
    bookings: onTables(
      weekBookings(db, fromMs, toMs).map((row) => ({
        ...{ id: row.id, clientId: row.clientId, personId: row.personId, startsAtMs: row.startsAtMs },
        ...{ minutes: row.minutes, version: row.version, ...bookingOnWall(row, timeZone) },
        clientName: clientName(db, row.clientId),
        what: [zonesInWords(row.zones), row.note].filter(Boolean).join(', '),
        state: stateOf(db, row),
      })),
      tables,
    ),
    tables,
    services: readServices(db).map(({ id, name }) => ({ id, name })),
    ready: readyInWeek(db, { fromOn, nowMs, most: MOST_READY }),
    waiting: waitingList(db, nowMs),
  });
}

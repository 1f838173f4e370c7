// When a practitioner works, and what keeps them busy: the hours of the studio or their own, bookings, absences.

import 'server-only';
import {
  fullSpans,
  nearestStart,
  openOn,
  USUAL_HOURS,
  type Busy,
  type DaySpan,
  type WeekHours,
} from '../../core/calendar';
import { addDays, laterDate } from '../../core/shared';
import { civilDateAt, instantAt, wallTimeAt } from '../clock';
import type { DbOrTx } from '../db/openDatabase';
import { bookingsBetween, type BookingRow } from '../repos/clientRepo';
import { absencesBetween } from '../repos/deskRepo';
import { readStudio, type StudioRow } from '../repos/studioRepo';

const DAY_MIN = 1440;

export const hoursOfPerson = ({ settings }: Pick<StudioRow, 'settings'>, personId: string): WeekHours =>
  settings.hoursOf?.[personId] ?? settings.hours ?? USUAL_HOURS;

/** Spans in which a person works on a day. */
export const workedOn = (studio: Pick<StudioRow, 'settings'>, personId: string, on: string): readonly DaySpan[] =>
  openOn(hoursOfPerson(studio, personId), studio.settings.closed ?? [], on);

export const minuteAt = (atMs: number, timeZone: string): number => {
  const { hour, minute } = wallTimeAt(atMs, timeZone);
  return 60 * hour + minute;
};

/** A span of instants as spans of the wall clock, day by day. */
export function onWall(fromMs: number, toMs: number, timeZone: string): readonly Busy[] {
  const [first, last] = [civilDateAt(fromMs, timeZone), civilDateAt(toMs - 1, timeZone)];
  const spans: Busy[] = [];
  for (let on = first; on <= last; on = addDays(on, 1)) {
    const fromMin = on === first ? minuteAt(fromMs, timeZone) : 0;
    const end = minuteAt(toMs, timeZone);
    const toMin = on === last && laterDate(on, civilDateAt(toMs, timeZone)) === on && end > 0 ? end : DAY_MIN;
    if (toMin > fromMin) spans.push({ on, fromMin, toMin });
  }
  return spans;
}

interface BusyQuestion {
  readonly personId: string;
  readonly fromOn: string;
  /** Last day. */
  readonly toOn: string;
  /** A booking that does not count. */
  readonly but?: string;
}

/** Spans of the day in which every table is taken by others. */
function noTable(booked: readonly Busy[], tables: number): readonly Busy[] {
  if (tables === 0) return [];
  const days = [...new Set(booked.map((b) => b.on))];
  return days.flatMap((on) =>
    fullSpans(
      booked.filter((b) => b.on === on),
      tables,
    ).map((s) => ({ ...s, on })),
  );
}

/** What keeps a person from a visit, day by day on the studio's wall clock: bookings, being away, no free table. */
export function busyOf(db: DbOrTx, { personId, fromOn, toOn, but }: BusyQuestion, timeZone: string): readonly Busy[] {
  const [fromMs, toMs] = [instantAt(fromOn, 0, 0, timeZone), instantAt(addDays(toOn, 1), 0, 0, timeZone)];
  const all = bookingsBetween(db, fromMs, toMs).filter((b) => b.id !== but);
  const spanned = (rows: readonly BookingRow[]): readonly Busy[] =>
    rows.map(({ startsAtMs, minutes }) => {
      const fromMin = minuteAt(startsAtMs, timeZone);
      const on = civilDateAt(startsAtMs, timeZone);
      return { on, fromMin, toMin: Math.min(DAY_MIN, fromMin + minutes) };
    });
  const own = all.filter((b) => b.personId === personId);
  const others = all.filter((b) => b.personId !== personId);
  const tables = readStudio(db)?.settings.tables?.length ?? 0;
  const away = absencesBetween(db, fromMs, toMs, personId).flatMap((a) => onWall(a.fromMs, a.toMs, timeZone));
  return [...spanned(own), ...away, ...noTable(spanned(others), tables)];
}

/** The free place of a day that is nearest to the hour of a booking; null where that day has none. */
export function sameHourOn(
  db: DbOrTx,
  { id, personId, startsAtMs, minutes }: Pick<BookingRow, 'id' | 'personId' | 'startsAtMs' | 'minutes'>,
  on: string,
  nowMs: number,
): number | null {
  const studio = readStudio(db);
  if (!studio) return null;
  const { timeZone } = studio;
  const busy = busyOf(db, { personId, fromOn: on, toOn: on, but: id }, timeZone).filter((b) => b.on === on);
  // what is past of today is as good as taken
  const past = civilDateAt(nowMs, timeZone) === on ? [{ fromMin: 0, toMin: minuteAt(nowMs, timeZone) + 1 }] : [];
  const startMin = minuteAt(startsAtMs, timeZone);
  const endMin = startMin + minutes;
  const open = workedOn(studio, personId, on);
  const taken = [...past, ...busy];
  const isFree =
    open.some((o) => o.fromMin <= startMin && endMin <= o.toMin) &&
    !taken.some((b) => b.fromMin < endMin && startMin < b.toMin);
  // the very hour, else the nearest of the grid
  const start = isFree ? startMin : nearestStart(open, taken, { minutes, startMin });
  return start === null ? null : instantAt(on, Math.floor(start / 60), start % 60, timeZone);
}

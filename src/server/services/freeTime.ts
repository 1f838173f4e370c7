// When a practitioner works, and what keeps them busy: the hours of the studio or their own, bookings, absences.

import 'server-only';
import { openOn, USUAL_HOURS, type Busy, type DaySpan, type WeekHours } from '../../core/calendar';
import { addDays, laterDate } from '../../core/shared';
import { civilDateAt, instantAt, wallTimeAt } from '../clock';
import type { DbOrTx } from '../db/openDatabase';
import { bookingsBetween } from '../repos/clientRepo';
import { absencesBetween } from '../repos/deskRepo';
import type { StudioRow } from '../repos/studioRepo';

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

/** What a person is busy with, day by day on the studio's wall clock. */
export function busyOf(db: DbOrTx, { personId, fromOn, toOn, but }: BusyQuestion, timeZone: string): readonly Busy[] {
  const [fromMs, toMs] = [instantAt(fromOn, 0, 0, timeZone), instantAt(addDays(toOn, 1), 0, 0, timeZone)];
  const booked = bookingsBetween(db, fromMs, toMs)
    .filter((b) => b.personId === personId && b.id !== but)
    .map(({ startsAtMs, minutes }) => {
      const fromMin = minuteAt(startsAtMs, timeZone);
      const on = civilDateAt(startsAtMs, timeZone);
      return { on, fromMin, toMin: Math.min(DAY_MIN, fromMin + minutes) };
    });
  const away = absencesBetween(db, fromMs, toMs, personId).flatMap((a) => onWall(a.fromMs, a.toMs, timeZone));
  return [...booked, ...away];
}

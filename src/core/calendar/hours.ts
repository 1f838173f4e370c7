// When the studio is open: spans of the day by weekday, days that are closed. Civil dates and minutes of the wall
// clock: what instant that is, the studio's time zone says.

import { daysBetween, type CivilDate } from '../shared';

/** Minutes of the day, the end not in it. */
export interface DaySpan {
  readonly fromMin: number;
  readonly toMin: number;
}
/** Seven lists, Monday first; an empty one is a day off. */
export type WeekHours = readonly (readonly DaySpan[])[];

export interface ClosedDays {
  readonly from: CivilDate;
  /** Last closed day. */
  readonly to: CivilDate;
  readonly why: string;
}

const A_MONDAY: CivilDate = '2024-01-01';
const DAY_MIN = 1440;

/** 0 Monday … 6 Sunday. */
export const weekdayOf = (on: CivilDate): number => ((daysBetween(A_MONDAY, on) % 7) + 7) % 7;

const nineToSix: readonly DaySpan[] = [{ fromMin: 9 * 60, toMin: 18 * 60 }];
/** Before a studio has said when it is open: weekdays and Saturday, nine to six. */
export const USUAL_HOURS: WeekHours = [nineToSix, nineToSix, nineToSix, nineToSix, nineToSix, nineToSix, []];

/** Spans in which the studio is open on a day. */
export const openOn = (hours: WeekHours, closed: readonly ClosedDays[], on: CivilDate): readonly DaySpan[] =>
  closed.some((c) => c.from <= on && on <= c.to) ? [] : (hours[weekdayOf(on)] ?? []);

/** Why hours cannot stand; null where they can: seven days, spans in order that neither are empty nor overlap. */
export function hoursFault(hours: WeekHours): string | null {
  if (hours.length !== 7) return 'A week has seven days.';
  const wrong = hours.findIndex((spans) =>
    spans.some(
      ({ fromMin, toMin }, i) =>
        fromMin < 0 || toMin > DAY_MIN || toMin <= fromMin || (i > 0 && fromMin < (spans[i - 1]?.toMin ?? 0)),
    ),
  );
  return wrong < 0 ? null : `The hours of day ${wrong + 1} end before they begin, or overlap.`;
}

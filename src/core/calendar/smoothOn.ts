// Smooth on a date that counts: a wax belongs two days or more before it, and no longer before than the skin stays
// smooth. From a visit today, a series of visits worked backwards from that date, each gap one in which the hair is
// ready.

import { addDays, daysBetween, type CivilDate } from '../shared';

/** Redness is gone, and no sport, sun or bath is missed (common practice, no source). */
const CLEAR_DAYS = 2;
/** Most visits of a series that are named. */
const MOST_VISITS = 12;

export interface SmoothDays {
  /** First and last day on which the last wax before the date may be. */
  readonly fromOn: CivilDate;
  readonly toOn: CivilDate;
}

/** @param smoothDays how long the skin stays smooth after a wax */
export const smoothDaysFor = (eventOn: CivilDate, smoothDays: number): SmoothDays => ({
  fromOn: addDays(eventOn, -Math.max(CLEAR_DAYS, smoothDays)),
  toOn: addDays(eventOn, -CLEAR_DAYS),
});

export interface SmoothInput {
  /** The wax that the gaps count from. */
  readonly from: CivilDate;
  readonly eventOn: CivilDate;
  readonly smoothDays: number;
  /** Days after a wax on which the hair is ready, first and last. */
  readonly readyFrom: number;
  readonly readyTo: number;
}

export interface SmoothSeries {
  /** Days of the visits, the last one before the date. Empty: today's own wax is smooth then. */
  readonly visits: readonly CivilDate[];
  /** Days between them, as few as one; where none fits, the gap that comes nearest. */
  readonly gapDays: readonly number[];
  /** True where every gap lies in what is ready. */
  readonly isReady: boolean;
}

/** Even gaps that add up to some days, the longer ones first: hair comes back slower at first. */
function evenly(days: number, visits: number): readonly number[] {
  const [least, more] = [Math.floor(days / visits), days % visits];
  return Array.from({ length: visits }, (_, i) => least + (i < more ? 1 : 0));
}

/**
 * The visits until the date; null where the date is too near for any wax to be two days off.
 */
export function smoothSeries({ from, eventOn, smoothDays, readyFrom, readyTo }: SmoothInput): SmoothSeries | null {
  const { fromOn, toOn } = smoothDaysFor(eventOn, smoothDays);
  if (toOn < from) return null;
  if (fromOn <= from) return { visits: [], gapDays: [], isReady: true };
  // the later the last wax, the smoother the day
  const lasts = Array.from({ length: daysBetween(fromOn, toOn) + 1 }, (_, i) => addDays(toOn, -i));
  let nearest: { readonly gaps: readonly number[]; readonly off: number } | null = null;
  for (const last of lasts) {
    const total = daysBetween(from, last);
    for (let visits = 1; visits <= MOST_VISITS; visits++) {
      const gaps = evenly(total, visits);
      const off = Math.max(0, ...gaps.map((g) => Math.max(readyFrom - g, g - readyTo)));
      if (nearest === null || off < nearest.off) nearest = { gaps, off };
      if (off === 0) break;
    }
    if (nearest?.off === 0) break;
  }
  const gapDays = nearest?.gaps ?? [];
  let day = from;
  const visits = gapDays.map((g) => (day = addDays(day, g)));
  return { visits, gapDays, isReady: nearest?.off === 0 };
}

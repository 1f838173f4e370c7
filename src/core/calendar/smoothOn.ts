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
  /** Whether a visit can be on a day: open, none of the client's own dates; absent = on every day. */
  readonly isFree?: ((on: CivilDate) => boolean) | undefined;
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
export function smoothSeries(input: SmoothInput): SmoothSeries | null {
  const { from, eventOn, smoothDays, readyFrom, readyTo, isFree = () => true } = input;
  const { fromOn, toOn } = smoothDaysFor(eventOn, smoothDays);
  if (toOn < from) return null;
  if (fromOn <= from) return { visits: [], gapDays: [], isReady: true };
  // the later the last wax, the smoother the day
  const days = Array.from({ length: daysBetween(fromOn, toOn) + 1 }, (_, i) => addDays(toOn, -i));
  const free = days.filter(isFree);
  const lasts = free.length > 0 ? free : days;
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
  const gaps = nearest?.gaps ?? [];
  let day = from;
  const even = gaps.map((g) => (day = addDays(day, g)));
  // the last stays where it is: it is the one that counts
  const visits = even.map((on, i) => (i === even.length - 1 ? on : freeNear(on, isFree)));
  const gapDays = visits.map((on, i) => daysBetween(visits[i - 1] ?? from, on));
  return { visits, gapDays, isReady: gapDays.every((g) => g >= readyFrom && g <= readyTo) };
}

/** So far beside the even day a free one is looked for. */
const BESIDE_DAYS = 4;

/** The free day nearest to one, the later of two: hair that is a day longer holds better. */
function freeNear(on: CivilDate, isFree: (on: CivilDate) => boolean): CivilDate {
  for (let k = 0; k <= BESIDE_DAYS; k++) {
    for (const beside of [addDays(on, k), addDays(on, -k)]) if (isFree(beside)) return beside;
  }
  return on;
}

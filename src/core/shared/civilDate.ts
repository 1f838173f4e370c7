// Civil dates (no time zone) as `YYYY-MM-DD` strings; the calendar's arithmetic by Temporal (temporal-polyfill).
// Regrowth and care count in days, so a clock change can never shift them.

import { Temporal } from 'temporal-polyfill';

/** `YYYY-MM-DD`, checked by {@link isCivilDate}. */
export type CivilDate = string;

const SHAPE = /^\d{4}-\d{2}-\d{2}$/;

/** True for a real date of the Gregorian calendar between 1900 and 2200. */
export function isCivilDate(text: string): boolean {
  if (!SHAPE.test(text)) return false;
  try {
    const { year } = Temporal.PlainDate.from(text, { overflow: 'reject' });
    return year >= 1900 && year <= 2200;
  } catch {
    return false;
  }
}

/** The date `days` whole days later (earlier when negative). */
export function addDays(date: CivilDate, days: number): CivilDate {
  return Temporal.PlainDate.from(date)
    .add({ days: Math.round(days) })
    .toString();
}

/** The date `months` later; the day is held to the month's end. */
export function addMonths(date: CivilDate, months: number): CivilDate {
  return Temporal.PlainDate.from(date).add({ months }).toString();
}

/** Whole days from `from` to `to`; negative when `to` is earlier. */
export const daysBetween = (from: CivilDate, to: CivilDate): number => dayNumber(to) - dayNumber(from);
const DAY_MS = 86_400_000;
// asked for thousands of times a page: a civil date read as UTC has no clock changes and costs a tenth of a calendar
const dayNumber = (date: CivilDate): number => Date.parse(date) / DAY_MS;

/** Age in completed years on a date. */
export function yearsBetween(born: CivilDate, on: CivilDate): number {
  return Temporal.PlainDate.from(born).until(Temporal.PlainDate.from(on), { largestUnit: 'year' }).years;
}

/** `2 January 2026`, for sentences that are read without the day they were written on. */
export const dateInWords = (date: CivilDate): string =>
  Temporal.PlainDate.from(date).toLocaleString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
export const laterDate = (a: CivilDate, b: CivilDate): CivilDate => (a >= b ? a : b);
export const earlierDate = (a: CivilDate, b: CivilDate): CivilDate => (a <= b ? a : b);

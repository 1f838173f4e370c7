// From the wish to the truth: what a year would bring if every place were taken every week, and what of it is left
// after weeks off, turnover, no-shows, material, room and the share for tax. Each loss hangs from the one before.

import { shareMinor } from './rounding';

/** Weeks of the wish. */
export const WEEKS = 52;

export interface YearFacts {
  /** Places a week, one straight after the other. */
  readonly placesAWeek: number;
  /** What a place brings in the mean, tax taken off, minor units. */
  readonly priceMinor: number;
  readonly weeksOff: number;
  /** Of a place without turnover, and turnover, min. */
  readonly minutes: number;
  readonly turnoverMin: number;
  /** Of a thousand places, those that nobody comes to. */
  readonly noShowPermille: number;
  readonly materialsMinor: number;
  readonly roomYearMinor: number;
  /** Share of what is left that is laid aside for tax, permille. */
  readonly taxPermille: number;
}

export const LOSSES = ['weeks-off', 'turnover', 'no-shows', 'material', 'room', 'tax'] as const;
export type LossName = (typeof LOSSES)[number];
export interface HonestYear {
  readonly wishMinor: number;
  /** In their order; below nothing only where there is nothing to lose. */
  readonly losses: readonly { readonly name: LossName; readonly minor: number }[];
  readonly leftMinor: number;
  /** Places that somebody comes to, and the hours at the table for them. */
  readonly places: number;
  readonly hours: number;
  /** Of an hour at the table; 0 without any. */
  readonly perHourMinor: number;
}

/** Whole numbers in, at most some thousands of places and weeks; all losses and the rest add up to the wish exactly. */
export function honestYear(f: YearFacts): HonestYear {
  const weeks = Math.max(0, WEEKS - f.weeksOff);
  const wishMinor = shareMinor(f.priceMinor, f.placesAWeek * WEEKS, 1);
  const weeksOff = shareMinor(f.priceMinor, f.placesAWeek * Math.min(WEEKS, f.weeksOff), 1);
  const worked = wishMinor - weeksOff;
  const turnover = shareMinor(worked, f.turnoverMin, Math.max(1, f.minutes + f.turnoverMin));
  const kept = worked - turnover;
  const noShows = shareMinor(kept, f.noShowPermille, 1000);
  // places that are really worked, as a share of whole numbers: material is bought for these
  const placesTop = f.placesAWeek * weeks * f.minutes * (1000 - f.noShowPermille);
  const placesOf = Math.max(1, f.minutes + f.turnoverMin) * 1000;
  const material = shareMinor(f.materialsMinor, placesTop, placesOf);
  const before = kept - noShows - material - f.roomYearMinor;
  const tax = before > 0 ? shareMinor(before, f.taxPermille, 1000) : 0;
  const leftMinor = before - tax;
  const places = placesTop / placesOf;
  const hours = (places * f.minutes) / 60;
  const minors = [weeksOff, turnover, noShows, material, f.roomYearMinor, tax];
  return {
    wishMinor,
    losses: LOSSES.map((name, i) => ({ name, minor: minors[i] ?? 0 })),
    leftMinor,
    places,
    hours,
    perHourMinor: hours > 0 ? Math.floor(leftMinor / hours) : 0,
  };
}

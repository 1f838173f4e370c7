// The lengths standing today: log-normal round the typical length, CV 0.25 for regular clients, 0.35 otherwise (from
// memory), or as the shortest and longest found today say. "Long enough" = at least 70 % of hairs between a product's
// shortest and longest workable length.

import { clamp, logNormalShare, logNormalStrata } from '../shared';
import type { Hair } from './types';

/** Share of hair that must be workable for a product to be right today. */
export const ENOUGH_SHARE = 0.7;

/** What tells how the lengths are spread. */
export type Spread = Pick<Hair, 'lengthMm' | 'history' | 'shortestMm' | 'longestMm'>;

/**
 * Standard normal quantile of 0.95: the shortest and longest found stand for the 5th and the 95th of a hundred hairs.
 */
const Z95 = 1.645;

/** Coefficient of variation of today's lengths. */
export function lengthSpreadCv(hair: Spread): number {
  const { lengthMm, shortestMm, longestMm } = hair;
  if (shortestMm === undefined && longestMm === undefined) return hair.history === 'regular' ? 0.25 : 0.35;
  const sigmas = [
    shortestMm === undefined ? null : Math.log(lengthMm / shortestMm) / Z95,
    longestMm === undefined ? null : Math.log(longestMm / lengthMm) / Z95,
  ].filter((s) => s !== null);
  const sigma = clamp(sigmas.reduce((a, b) => a + b, 0) / sigmas.length, 0.05, 1);
  return Math.sqrt(Math.exp(sigma * sigma) - 1);
}

export interface LengthRange {
  readonly shortestMm: number;
  readonly longestMm: number;
}

/** Share of today's hair, after `grownMm` more growth, whose length lies in the range; 0–1. */
export function workableShare(hair: Spread, range: LengthRange, grownMm = 0): number {
  return logNormalShare(range.shortestMm - grownMm, range.longestMm - grownMm, hair.lengthMm, lengthSpreadCv(hair));
}

/** Share of today's hair longer than `longestMm`. */
export function tooLongShare(hair: Spread, longestMm: number): number {
  return logNormalShare(longestMm, Number.MAX_VALUE, hair.lengthMm, lengthSpreadCv(hair));
}

/** Equally likely lengths of today's hair, mm; for sums over the distribution. */
export function lengthStrata(hair: Spread, n = 24): readonly number[] {
  return logNormalStrata(hair.lengthMm, lengthSpreadCv(hair), n);
}

/**
 * Days until today's hair is long enough if nothing is done; 0 = today, null = not within `horizonDays`
 * (hair already too long only gets longer).
 */
export function daysUntilWorkable(
  hair: Spread,
  range: LengthRange,
  rateMmPerDay: number,
  horizonDays = 120,
): number | null {
  for (let day = 0; day <= horizonDays; day++) {
    if (workableShare(hair, range, day * rateMmPerDay) >= ENOUGH_SHARE) return day;
  }
  return null;
}

// The lengths standing today: log-normal round the typical length, CV 0.25 for regular clients, 0.35 otherwise (from memory).
// "Long enough" = at least 70 % of hairs between a product's shortest and longest workable length.

import { logNormalShare, logNormalStrata } from '../shared';
import type { Hair } from './types';

/** Share of hair that must be workable for a product to be right today. */
export const ENOUGH_SHARE = 0.7;

export const lengthSpreadCv = (hair: Pick<Hair, 'history'>): number => (hair.history === 'regular' ? 0.25 : 0.35);

export interface LengthRange {
  readonly shortestMm: number;
  readonly longestMm: number;
}

/** Share of today's hair, after `grownMm` more growth, whose length lies in the range; 0–1. */
export function workableShare(hair: Pick<Hair, 'lengthMm' | 'history'>, range: LengthRange, grownMm = 0): number {
  return logNormalShare(range.shortestMm - grownMm, range.longestMm - grownMm, hair.lengthMm, lengthSpreadCv(hair));
}

/** Share of today's hair longer than `longestMm`. */
export function tooLongShare(hair: Pick<Hair, 'lengthMm' | 'history'>, longestMm: number): number {
  return logNormalShare(longestMm, Number.MAX_VALUE, hair.lengthMm, lengthSpreadCv(hair));
}

/** Equally likely lengths of today's hair, mm; for sums over the distribution. */
export function lengthStrata(hair: Pick<Hair, 'lengthMm' | 'history'>, n = 24): readonly number[] {
  return logNormalStrata(hair.lengthMm, lengthSpreadCv(hair), n);
}

/**
 * Days until today's hair is long enough if nothing is done; 0 = today, null = not within `horizonDays`
 * (hair already too long only gets longer).
 */
export function daysUntilWorkable(hair: Pick<Hair, 'lengthMm' | 'history'>, range: LengthRange, rateMmPerDay: number, horizonDays = 120): number | null {
  for (let day = 0; day <= horizonDays; day++) {
    if (workableShare(hair, range, day * rateMmPerDay) >= ENOUGH_SHARE) return day;
  }
  return null;
}

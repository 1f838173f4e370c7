// The same hairs week by week as they grow out of the skin: each stands for a tenth of the zone's follicles, its length
// the quantile of the regrowth model on that day.

import type { RegrowthModel } from '@/core/hair';

/** One hair stands for one share. */
export const HAIRS = 10;
export const WEEKS = 10;
/** Days of the line. */
export const DAYS = 7 * WEEKS;

const LONGEST_MM = 40;
const HALVINGS = 14;

/** Length of the hair that this share of the follicles is longer than, mm; 0 while it has not come through. */
export function quantileMm(model: RegrowthModel, share: number, day: number): number {
  if (model.shareAtLeast(0.05, day) < share) return 0;
  let [low, high] = [0, LONGEST_MM];
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (low + high) / 2;
    if (model.shareAtLeast(middle, day) >= share) low = middle;
    else high = middle;
  }
  return low;
}

/** Lengths of the hairs on one day, mm, longest first. */
export const lengthsOn = (model: RegrowthModel, day: number): readonly number[] =>
  Array.from({ length: HAIRS }, (_, i) => quantileMm(model, (i + 0.5) / HAIRS, day));

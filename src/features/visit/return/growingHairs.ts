// The same hairs week by week as they grow out of the skin: each stands for a tenth of the zone's follicles, its length
// the quantile of the regrowth model on that day.

import type { RegrowthModel } from '@/core/hair';

/** One hair stands for one share. */
export const HAIRS = 10;
export const WEEKS = 10;
/** Days of the line. */
export const DAYS = 7 * WEEKS;

const LONGEST_MM = 40;
/** Hairs are drawn this exactly, mm. */
const DRAWN_MM = 0.01;

/**
 * Length of the hair that this share of the follicles is longer than, mm; 0 while it has not come through.
 * @param mostMm no hair of this share is longer
 */
export function quantileMm(model: RegrowthModel, share: number, day: number, mostMm = LONGEST_MM): number {
  if (model.shareAtLeast(0.05, day) < share) return 0;
  let [low, high] = [0, mostMm];
  while (high - low > DRAWN_MM) {
    const middle = (low + high) / 2;
    if (model.shareAtLeast(middle, day) >= share) low = middle;
    else high = middle;
  }
  return low;
}

/** Lengths of the hairs on one day, mm, longest first: each is looked for below the one before. */
export const lengthsOn = (model: RegrowthModel, day: number): readonly number[] => {
  const lengths: number[] = [];
  for (let i = 0; i < HAIRS; i++) {
    const before = lengths[i - 1];
    lengths.push(before === 0 ? 0 : quantileMm(model, (i + 0.5) / HAIRS, day, before ?? LONGEST_MM));
  }
  return lengths;
};

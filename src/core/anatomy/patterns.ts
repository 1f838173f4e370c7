// Default growth: where the hair tip points, over the sheet of the left side (its outer side is to the right).
// Facts of the trade (common practice, no source) unless "from memory". The practitioner corrects them on the client.

import type { GrowthPattern } from './types';

const middle = (u: number): number => 2 * (u - 0.5); // −1 at the sheet's left edge … +1 at its right

export const down: GrowthPattern = () => [0, 1];
export const up: GrowthPattern = () => [0, -1];

/** Upper half up, lower half down, dividing near the centre, fanning a little to the sides. */
export const underarm: GrowthPattern = (u, v) => (v < 0.5 ? [0.25 * middle(u), -1] : [0.25 * middle(u), 1]);

/** Down from the knee, swinging outward (the swing from memory). */
export const downOutward: GrowthPattern = (u) => [0.18 + 0.2 * u, 1];

/** Several angles: down in the middle, slanting out to each corner. */
export const lip: GrowthPattern = (u) => [0.8 * middle(u), 1];

/** Slanting down from both sides towards the middle. */
export const chin: GrowthPattern = (u) => [-0.6 * middle(u), 1];

/** Down and to both sides. */
export const knee: GrowthPattern = (u) => [0.9 * middle(u), 1];

/** Outward and down to the wrist (from memory). */
export const forearm: GrowthPattern = () => [0.45, 1];

/** Up and to the middle (from memory). */
export const chest: GrowthPattern = (u) => [-0.9 * middle(u), -0.8];

/** To the middle line (from memory). */
export const abdomen: GrowthPattern = (u) => [u < 0.5 ? 1 : -1, 0.45];

/** Down along the spine, flanks down and outward; differs much, to be charted first. */
export const back: GrowthPattern = (u) => [0.6 * middle(u), 1];

/** Inward and down (edge of the bikini; inward from memory). */
export const bikini: GrowthPattern = () => [-0.35, 1];

/** Outward, the inner end upward (from memory). */
export const brow: GrowthPattern = (u) => (u < 0.2 ? [0.6, -1] : [1, 0.1 + 0.3 * u]);

/** Any way: to the rim. */
export const ear: GrowthPattern = (u, v) => [u - 0.45, v - 0.45 + 1e-3];

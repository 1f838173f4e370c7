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

/** 0 at `from` to 1 at `to`, without a kink. */
const between = (value: number, from: number, to: number): number => {
  const t = Math.min(1, Math.max(0, (value - from) / (to - from)));
  return t * t * (3 - 2 * t);
};

/** Outward; the inner end of the brow upward, turning over, not what stands below it (from memory). */
export const brow: GrowthPattern = (u, v) => {
  const upward = between(u, 0.3, 0.14) * between(v, 0.8, 0.5);
  const down = Math.atan2(0.1 + 0.3 * u, 1);
  const angle = down - upward * (down + Math.PI / 3);
  return [Math.cos(angle), Math.sin(angle)];
};

/** Middle line of the ear's rim, from its root round the back to the lobe and up to the tragus. */
const RIM: readonly (readonly [number, number])[] = [
  [0.22, 0.26],
  [0.33, 0.18],
  [0.52, 0.08],
  [0.71, 0.09],
  [0.86, 0.19],
  [0.91, 0.33],
  [0.87, 0.48],
  [0.79, 0.62],
  [0.7, 0.77],
  [0.59, 0.885],
  [0.475, 0.93],
  [0.355, 0.89],
  [0.265, 0.79],
  [0.195, 0.66],
  [0.14, 0.53],
  [0.13, 0.45],
];

/** Any way; drawn along the rim, as the strips run. */
export const ear: GrowthPattern = (u, v) => {
  let [x, y] = [0, 0];
  RIM.slice(1).forEach(([bu, bv], k) => {
    const [au, av] = RIM[k] ?? [bu, bv];
    const weight = 1 / ((u - (au + bu) / 2) ** 2 + (v - (av + bv) / 2) ** 2 + 0.004) ** 2;
    x += weight * (bu - au);
    y += weight * (bv - av);
  });
  return [x, y];
};

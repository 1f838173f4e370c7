// The brow with its surroundings on one sheet of 8 × 5 cm: the brow itself, which is what stays, and round it the skin
// on which strays stand: some 8 mm above, down to the fold of the lid, 8 mm past the tail. Shares of the left sheet
// (the nose to the left); proportions from memory, to be corrected on the client.

import { smoothRing } from './shapes';
import type { Vec } from '../shared';

const SHEET: Vec = [8, 5];
/** Where the brow's own 6 × 2.2 cm lie on it. */
const AT: Vec = [0.5, 1.3];
const BROW: Vec = [6, 2.2];

const onSheet = ([x, y]: Vec): Vec => [x / SHEET[0], y / SHEET[1]];

/** Points of the brow's edge from its inner end over the arch to the tail and back below: the inner end blunt. */
export const BROW_POINTS: readonly Vec[] = (
  [
    [0, 0.62],
    [0.12, 0.3],
    [0.45, 0.06],
    [0.75, 0.08],
    [1, 0.56],
    [0.72, 0.42],
    [0.45, 0.55],
    [0.15, 0.95],
  ] as const
).map(([u, v]) => onSheet([AT[0] + u * BROW[0], AT[1] + v * BROW[1]]));

/** How many of them lie on the upper edge, the inner end and the tail among them; the rest lie on the lower. */
export const UPPER_BROW_POINTS = 5;

/** Edge of the brow as it grows. */
export const BROW_EDGE: readonly Vec[] = smoothRing(BROW_POINTS, 6);

/** Skin that is worked, the brow within it. */
export const BROW_OUTLINE: readonly Vec[] = smoothRing(
  (
    [
      [0.25, 2.6],
      [0.75, 1.35],
      [2.2, 0.82],
      [3.8, 0.6],
      [5.4, 0.7],
      [6.6, 1.4],
      [7.3, 2.45],
      [7.05, 3.15],
      [6.2, 3.3],
      [4.9, 3.35],
      [3.3, 3.66],
      [1.9, 4.3],
      [0.85, 4.4],
      [0.3, 3.7],
    ] as const
  ).map(onSheet),
  6,
);

/** Lid and eye: from two millimetres under the fold downwards. Nothing is ever laid on it, not even a tab. */
export const LID: readonly Vec[] = (
  [
    [7.05, 3.35],
    [6.2, 3.5],
    [4.9, 3.55],
    [3.3, 3.86],
    [1.9, 4.5],
    [0.85, 4.6],
    [0.85, 8],
    [7.05, 8],
  ] as const
).map(onSheet);

/** A line along the middle of the brow and out to both sides: what lies above it is laid from above. */
export const BROW_SPINE: readonly Vec[] = (
  [
    [-1, 3],
    [0.5, 2.95],
    [1.3, 2.62],
    [3.2, 2],
    [4.9, 1.88],
    [6.38, 2.55],
    [9, 2.9],
  ] as const
).map(onSheet);

/** Height of that line at a place of the width. */
export function browSpineAt(u: number): number {
  const k = Math.max(
    1,
    BROW_SPINE.findIndex(([at]) => at >= u),
  );
  const [[ax, ay], [bx, by]] = [BROW_SPINE[k - 1] ?? [0, 0], BROW_SPINE[k] ?? [1, 0]];
  return ay + ((u - ax) / (bx - ax)) * (by - ay);
}

/** Share of the brow's density at which strays stand round it. */
export const STRAY_SHARE = 1 / 3;

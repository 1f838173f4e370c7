// Hair that crosses: in some places a share of the hairs stands another way than the rest (common practice, no source).
// Combed as strokes with a share; they hold only near where they were combed, and never blur the main direction.

import { angleBetweenDeg, clamp, unit, type Vec } from '../shared';

export interface CrossingStroke {
  readonly at: Vec;
  /** Unit vector. */
  readonly towards: Vec;
  /** Share of the hairs that stand this way, 0–0.5. */
  readonly share: number;
}

/** The second direction of every node of a field, and the share of hairs that follow it (0 = none). */
export interface Crossing {
  readonly direction: Float64Array;
  readonly share: Float64Array;
}

/** Hairs that differ by less than this do not cross. */
export const CROSSING_DEG = 30;
/** The minority's share; more would be the main direction. */
export const MOST_CROSSING = 0.5;
/** Below this share nobody would act on it. */
export const LEAST_CROSSING = 0.1;

/** How far a crossing stroke reaches, cm: less on small zones (from memory). */
export const crossingReachCm = (widthCm: number, heightCm: number): number =>
  clamp(Math.min(widthCm, heightCm) / 5, 0.6, 3);

/** Second direction and share at one point, `main` being the direction of the rest. Share 0 beside every stroke. */
export function crossingAtPoint(
  at: Vec,
  strokes: readonly CrossingStroke[],
  reachCm: number,
  main: Vec,
): { readonly towards: Vec; readonly share: number } {
  let [x, y, weight, share, nearest] = [0, 0, 0, 0, Infinity];
  let nearestWay: Vec = main;
  for (const stroke of strokes) {
    const d2 = (at[0] - stroke.at[0]) ** 2 + (at[1] - stroke.at[1]) ** 2;
    if (d2 >= reachCm * reachCm) continue;
    const w = 1 / (d2 + 1);
    x += w * stroke.towards[0];
    y += w * stroke.towards[1];
    share += w * stroke.share;
    weight += w;
    if (d2 < nearest) [nearest, nearestWay] = [d2, stroke.towards];
  }
  if (weight === 0) return { towards: main, share: 0 };
  const towards = unit([x, y]) ?? nearestWay;
  if (angleBetweenDeg(towards, main) < CROSSING_DEG) return { towards, share: 0 };
  return { towards, share: clamp((share / weight) * (1 - nearest / (reachCm * reachCm)), 0, MOST_CROSSING) };
}

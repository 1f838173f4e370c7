// How zone outlines are made, in shares of the sheet: from tables of half-widths by height, or from a few drawn points;
// smoothed by a closed Catmull–Rom spline and stretched to touch all four sides. The outlines themselves are in
// outlines.ts.

import type { Vec } from '../shared';

/** Closed Catmull–Rom curve through the points, `perSpan` points a span. */
export function smoothRing(points: readonly Vec[], perSpan: number): readonly Vec[] {
  const n = points.length;
  const at = (i: number): Vec => points[((i % n) + n) % n] ?? [0, 0];
  return points.flatMap((_, i) =>
    Array.from({ length: perSpan }, (__, k): Vec => {
      const t = k / perSpan;
      const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)];
      const axis = (j: 0 | 1): number =>
        0.5 *
        (2 * p1[j] +
          (p2[j] - p0[j]) * t +
          (2 * p0[j] - 5 * p1[j] + 4 * p2[j] - p3[j]) * t * t +
          (3 * p1[j] - p0[j] - 3 * p2[j] + p3[j]) * t ** 3);
      return [axis(0), axis(1)];
    }),
  );
}

/** Superellipse filling the unit square; exponent 2 is an oval, higher is boxier. */
export function oval(exponent = 2, points = 72): readonly Vec[] {
  return Array.from({ length: points }, (_, i): Vec => {
    const a = (2 * Math.PI * i) / points;
    const bend = (x: number): number => Math.sign(x) * Math.abs(x) ** (2 / exponent);
    return [0.5 + 0.5 * bend(Math.cos(a)), 0.5 + 0.5 * bend(Math.sin(a))];
  });
}

/** [height share, inner half-width, outer half-width], half-widths as shares of half the sheet, top to bottom. */
type HalfWidths = readonly (readonly [number, number, number])[];

/** Outline from a table of half-widths; ends are rounded off by the spline. */
export function fromHalfWidths(table: HalfWidths): readonly Vec[] {
  const outer = table.map(([v, , o]): Vec => [0.5 + o / 2, v]);
  const inner = [...table].reverse().map(([v, i]): Vec => [0.5 - i / 2, v]);
  return fitToSheet(smoothRing([...outer, ...inner], 6));
}

/** Stretches a ring so that it touches all four sides of its sheet. */
export function fitToSheet(ring: readonly Vec[]): readonly Vec[] {
  const xs = ring.map((p) => p[0]);
  const ys = ring.map((p) => p[1]);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return ring.map(([x, y]): Vec => [(x - x0) / (x1 - x0), (y - y0) / (y1 - y0)]);
}

/**
 * Outline drawn by its right half from the top of the middle line to its bottom, u from 0.5 outward; the left half
 * mirrors it.
 */
export function fromRightHalf(points: readonly Vec[], perSpan = 6): readonly Vec[] {
  const left = points
    .filter(([u]) => u > 0.5)
    .reverse()
    .map(([u, v]): Vec => [1 - u, v]);
  return fitToSheet(smoothRing([...points, ...left], perSpan));
}

/** Outline drawn all round. */
export const drawn = (points: readonly Vec[], perSpan = 6): readonly Vec[] => fitToSheet(smoothRing(points, perSpan));

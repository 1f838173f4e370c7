import { difference, intersection, union } from 'polyclip-ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  discRing,
  intersectRegions,
  isInside,
  regionArea,
  samplePoints,
  subtractRegions,
  uniteRings,
} from './polygons';
import type { Ring, Vec } from './vec';

/** A star-shaped ring round a centre: simple by construction. */
const ring = fc
  .tuple(
    fc.double({ min: 3, max: 7, noNaN: true }),
    fc.double({ min: 3, max: 7, noNaN: true }),
    fc.array(fc.double({ min: 1, max: 4, noNaN: true }), { minLength: 5, maxLength: 12 }),
  )
  .map(([cx, cy, radii]): Ring =>
    radii.map((r, i): Vec => [
      cx + r * Math.cos((2 * Math.PI * i) / radii.length),
      cy + r * Math.sin((2 * Math.PI * i) / radii.length),
    ]),
  );
type Multi = ReturnType<typeof union>;
const closed = (r: Ring): [number, number][] => [...r, r[0] as Vec].map(([x, y]) => [x, y]);
const shoelace = (r: readonly (readonly [number, number])[]): number =>
  Math.abs(
    r.reduce((s, [x, y], i) => {
      const [u, v] = r[(i + 1) % r.length] ?? [x, y];
      return s + x * v - u * y;
    }, 0),
  ) / 2;
const areaOf = (multi: Multi): number =>
  multi.reduce((s, poly) => s + poly.reduce((a, r, i) => a + (i === 0 ? shoelace(r) : -shoelace(r)), 0), 0);

describe('regions', () => {
  it('have the same areas as polyclip-ts finds', () => {
    fc.assert(
      fc.property(ring, ring, (a, b) => {
        expect(regionArea(intersectRegions([a], [b]))).toBeCloseTo(areaOf(intersection([closed(a)], [closed(b)])), 2);
        expect(regionArea(subtractRegions([a], [b]))).toBeCloseTo(areaOf(difference([closed(a)], [closed(b)])), 2);
        expect(regionArea(uniteRings([a, b]))).toBeCloseTo(areaOf(union([closed(a)], [closed(b)])), 2);
      }),
      { seed: 5, numRuns: 60 },
    );
  });
  it('are sampled where they are and nowhere else', () => {
    fc.assert(
      fc.property(ring, ring, (a, b) => {
        const region = subtractRegions([a], [b]);
        const points = samplePoints(region, 0.1);
        for (const p of points.slice(0, 400)) {
          if (region.length > 0 && points.length > 1) expect(isInside(region, p)).toBe(true);
        }
        if (regionArea(region) > 4) expect(points.length * 0.01).toBeCloseTo(regionArea(region), -1);
      }),
      { seed: 8, numRuns: 40 },
    );
  });
  it('keep every point of a disc inside its ring', () => {
    const r = discRing([3, 4], 0.9);
    for (let a = 0; a < 360; a += 1) {
      expect(isInside([r], [3 + 0.8999 * Math.cos(a), 4 + 0.8999 * Math.sin(a)])).toBe(true);
    }
    expect(regionArea([r])).toBeCloseTo(Math.PI * 0.81, 1);
  });
});

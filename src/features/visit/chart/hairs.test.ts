import { describe, expect, it } from 'vitest';
import { hairsPerCm2, ZONES } from '@/core/anatomy';
import { densityAt, type DensityPlace } from '@/core/field';
import type { Vec } from '@/core/shared';
import { plantHair, type Root } from './hairs';

const outline: readonly Vec[] = [
  [0, 0],
  [20, 0],
  [20, 20],
  [0, 20],
];
const ground = { outline, excluded: [], areaCm2: 400 };
const zone = ZONES['lower-leg-front'];
const near = (roots: readonly Root[], [x, y]: Vec, cm: number): number =>
  roots.filter((r) => Math.hypot(r.at[0] - x, r.at[1] - y) < cm).length;
const place = (density: number): DensityPlace => ({ at: [10, 10], radiusCm: 6, density });

describe('plantHair', () => {
  it.each([1, 2, 4, 5])(
    'draws as many hairs as are felt where density %i was painted, and moves none beside it',
    (density) => {
      const hair = plantHair(ground, zone, 3);
      const [before, after] = [hair([]), hair([place(density)])];
      const core = Math.PI * 3.5 ** 2;
      expect(Math.abs(near(before, [10, 10], 3.5) / core / hairsPerCm2(zone.hairsPerCm2, 3) - 1)).toBeLessThan(0.1);
      const factor = hairsPerCm2(zone.hairsPerCm2, density) / hairsPerCm2(zone.hairsPerCm2, 3);
      // a seeded draw: three standard deviations of the count
      const wanted = factor * near(before, [10, 10], 3.5);
      expect(Math.abs(near(after, [10, 10], 3.5) - wanted)).toBeLessThan(3 * Math.sqrt(wanted));
      const outside = (roots: readonly Root[]): readonly Root[] =>
        roots.filter((r) => densityAt([place(density)], 3, r.at) === 3);
      expect(outside(after)).toEqual(outside(before));
    },
  );
  it('holds to its cap on a dense zone', () => {
    expect(plantHair(ground, zone, 5, 300)([]).length).toBeLessThanOrEqual(330);
  });
});

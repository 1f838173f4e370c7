import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Vec } from '../shared';
import { densityAt, eraseDensity, feelDensity, mirrorDensity, type DensityPlace } from './densityPlaces';
import { fitChart } from './fitChart';

const thin: DensityPlace = { at: [5, 5], radiusCm: 2, density: 1 };
const point = fc.tuple(fc.double({ min: 0, max: 10, noNaN: true }), fc.double({ min: 0, max: 10, noNaN: true }));
const places = fc.array(
  fc.record({
    at: point,
    radiusCm: fc.double({ min: 0.3, max: 4, noNaN: true }),
    density: fc.integer({ min: 1, max: 5 }),
  }),
  { maxLength: 6 },
);

describe('densityAt', () => {
  it('is the place’s near its middle, the zone’s beyond its rim, and falls from one to the other', () => {
    expect(densityAt([thin], 4, [5, 5])).toBe(1);
    expect(densityAt([thin], 4, [6.2, 5])).toBe(1);
    expect(densityAt([thin], 4, [7, 5])).toBe(4);
    const outwards = [6.2, 6.4, 6.6, 6.8, 7].map((x) => densityAt([thin], 4, [x, 5]));
    expect(outwards).toEqual([...outwards].sort((a, b) => a - b));
    expect(outwards[2]).toBeCloseTo(2.5, 6);
  });
  it('takes the later of two places where both hold fully', () => {
    expect(densityAt([thin, { ...thin, density: 5 }], 3, [5, 5])).toBe(5);
  });
  it('never leaves what was felt, and a place felt once more adds none', () => {
    fc.assert(
      fc.property(places, point, fc.integer({ min: 1, max: 5 }), (felt, at, usual) => {
        const here = densityAt(felt, usual, at);
        const all = [usual, ...felt.map((p) => p.density)];
        expect(here).toBeGreaterThanOrEqual(Math.min(...all) - 1e-9);
        expect(here).toBeLessThanOrEqual(Math.max(...all) + 1e-9);
        const once = feelDensity(felt, { at, radiusCm: 1, density: 2 });
        expect(feelDensity(once, { at, radiusCm: 1, density: 4 })).toHaveLength(once.length);
        const [x, y]: Vec = once.at(-1)?.at ?? [0, 0];
        expect(densityAt(once, usual, [x, y])).toBe(2);
      }),
      { seed: 61, numRuns: 200 },
    );
  });
  it('lets a large place stand round a small new one', () => {
    const both = feelDensity([{ at: [5, 5], radiusCm: 4, density: 1 }], { at: [5, 5], radiusCm: 1, density: 5 });
    expect(both).toHaveLength(2);
    expect(densityAt(both, 3, [7, 5])).toBe(1);
  });
});

describe('places on a sheet', () => {
  it('are erased under the brush, mirrored and carried to a sheet of another size', () => {
    const other: DensityPlace = { at: [1, 9], radiusCm: 1, density: 5 };
    expect(eraseDensity([thin, other], [5.5, 5], 1)).toEqual([other]);
    const untouched = [thin, other];
    expect(eraseDensity(untouched, [9, 1], 1)).toBe(untouched);
    expect(mirrorDensity([other], 10)).toEqual([{ ...other, at: [9, 9] }]);
    expect(fitChart({ strokes: [], marks: [], densities: [other] }, [10, 10], [20, 20]).densities).toEqual([
      { at: [2, 18], radiusCm: 2, density: 5 },
    ]);
  });
});

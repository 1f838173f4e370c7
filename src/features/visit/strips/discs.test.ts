import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apart, type Disc } from './discs';

const disc = (x: number, y: number, r = 1, footY = y - 8): Disc => ({ at: [x, y], r, foot: [x, footY] });

describe('numbers on strips', () => {
  it('stay where they are as long as none lies on another', () => {
    const discs = [disc(0, 0), disc(2, 0), disc(0, 5)];
    expect(apart(discs)).toEqual(discs.map((d) => d.at));
  });
  it('of narrow strips side by side stand one above the other, each on its own strip', () => {
    const [a, b] = apart([disc(0, 0), disc(0.6, 0)]);
    expect(a).toEqual([0, 0]);
    expect(b?.[0]).toBe(0.6);
    // two radii apart with 0.6 across: at least 1.91 along
    expect(b?.[1]).toBeLessThanOrEqual(-1.9);
    expect(b?.[1]).toBeGreaterThan(-3);
  });
  it('give way to larger ones', () => {
    const [small, large] = apart([disc(0, 0, 0.5), disc(0.5, 0, 2)]);
    expect(large).toEqual([0.5, 0]);
    expect(small?.[1]).toBeLessThan(-2.4);
  });
  it('never leave their strip, also where there is no room: then as far apart as it allows', () => {
    const [a, b] = apart([disc(0, 0, 1, -1), disc(0.2, 0, 1, -1)]);
    expect(a).toEqual([0, 0]);
    expect(b?.[1]).toBeLessThan(0);
    expect(b?.[1]).toBeGreaterThanOrEqual(-0.8);
  });
  it('lie on no other wherever the strips are long enough', () => {
    const lanes = fc.uniqueArray(fc.integer({ min: 0, max: 12 }), { minLength: 2, maxLength: 6 });
    fc.assert(
      fc.property(lanes, fc.double({ min: 0.2, max: 0.9, noNaN: true }), (xs, r) => {
        const discs = xs.map((x) => disc(0.4 * x, 0, r, -40));
        const places = apart(discs);
        const near = places.flatMap((p, i) =>
          places.slice(i + 1).map((q) => Math.hypot(p[0] - q[0], p[1] - q[1]) - 2 * r),
        );
        expect(near.length).toBeGreaterThan(0);
        expect(Math.min(...near)).toBeGreaterThanOrEqual(-1e-9);
        expect(places.map((p) => p[0])).toEqual(discs.map((d) => d.at[0]));
      }),
      { seed: 4, numRuns: 60 },
    );
  });
});

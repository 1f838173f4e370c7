import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES } from '../anatomy';
import { angleBetweenDeg, type Vec } from '../shared';
import { comb, eraseStrokes, mirrorStrokes } from './comb';
import { CROSSING_DEG, MOST_CROSSING } from './crossing';
import { crossingAt, growthAt, growthField, meanCrossing, nodeCentre, nodeDirection, type Stroke } from './growthField';

const zone = ZONES.chin;
const made = sheetFor(zone, 'middle', {});
if (!made.ok) throw new Error(made.error.code);
const sheet = made.value;
const across: Stroke = { at: [3.5, 2.5], towards: [1, 0], share: 0.4 };

describe('crossing hair', () => {
  it('adds a second direction near the stroke and leaves the main one as it was', () => {
    const plain = growthField(zone, 'middle', sheet, []);
    const crossed = growthField(zone, 'middle', sheet, [across]);
    expect(plain.crossing).toBeNull();
    expect(crossed.direction).toEqual(plain.direction);
    const here = crossingAt(crossed, [3.5, 2.5]);
    expect(here?.share).toBeGreaterThan(0.35);
    expect(angleBetweenDeg(here?.towards ?? [0, 1], [1, 0])).toBeLessThan(1);
    expect(crossingAt(crossed, [0.4, 0.4])).toBeNull();
  });
  it('always holds unit vectors, shares from 0 to a half, and only what really crosses', () => {
    const stroke = fc
      .record({
        x: fc.double({ min: 0, max: 7, noNaN: true }),
        y: fc.double({ min: 0, max: 5, noNaN: true }),
        a: fc.double({ min: 0, max: 6.283, noNaN: true }),
        share: fc.option(fc.double({ min: 0.01, max: 1, noNaN: true }), { nil: undefined }),
      })
      .map(({ x, y, a, share }): Stroke => ({
        at: [x, y],
        towards: [Math.cos(a), Math.sin(a)],
        ...(share === undefined ? {} : { share }),
      }));
    fc.assert(
      fc.property(fc.array(stroke, { minLength: 1, maxLength: 8 }), (strokes) => {
        const field = growthField(zone, 'middle', sheet, strokes);
        for (let n = 0; n < field.columns * field.rows; n++) {
          const c = crossingAt(field, nodeCentre(field, n));
          if (!c) continue;
          expect(c.share).toBeLessThanOrEqual(MOST_CROSSING);
          expect(Math.hypot(...c.towards)).toBeCloseTo(1, 9);
          expect(angleBetweenDeg(c.towards, nodeDirection(field, n))).toBeGreaterThanOrEqual(CROSSING_DEG - 1e-6);
        }
      }),
      { seed: 5, numRuns: 60 },
    );
  });
  it('is no crossing where the stroke goes the way of the rest', () => {
    const field = growthField(zone, 'middle', sheet, [
      { ...across, towards: growthAt(growthField(zone, 'middle', sheet, []), across.at) },
    ]);
    expect(crossingAt(field, across.at)).toBeNull();
  });
  it('is summed up over a strip only where it is worth acting on', () => {
    const field = growthField(zone, 'middle', sheet, [across]);
    const near: readonly Vec[] = [
      [3.3, 2.4],
      [3.6, 2.6],
      [3.5, 2.3],
    ];
    expect(meanCrossing(field, near)?.share).toBeGreaterThan(0.3);
    expect(meanCrossing(field, [...near, ...Array.from({ length: 60 }, (): Vec => [0.2, 0.2])])).toBeNull();
    expect(meanCrossing(field, [])).toBeNull();
  });
  it('is combed, erased and mirrored apart from the rest', () => {
    const pinned = comb([], growthField(zone, 'middle', sheet, []), sheet, {
      from: [3, 1],
      to: [3, 1.6],
      radiusCm: 0.5,
    });
    const both = comb(pinned, growthField(zone, 'middle', sheet, pinned), sheet, {
      from: [3, 2],
      to: [3.6, 2],
      radiusCm: 0.8,
      share: 0.3,
    });
    expect(both.filter((s) => s.share === undefined)).toEqual(pinned);
    expect(both.filter((s) => s.share === 0.3).length).toBeGreaterThan(2);
    const again = comb(both, growthField(zone, 'middle', sheet, both), sheet, {
      from: [3.6, 2],
      to: [3.6, 2.6],
      radiusCm: 0.8,
    });
    expect(again.filter((s) => s.share === 0.3)).toEqual(both.filter((s) => s.share === 0.3));
    expect(eraseStrokes(both, [3.6, 2], 1).some((s) => s.share !== undefined)).toBe(false);
    expect(mirrorStrokes(mirrorStrokes(both, 7), 7)).toEqual(both);
  });
  it('alone pins nothing: the zone keeps its usual growth', () => {
    const only = comb([], growthField(zone, 'middle', sheet, []), sheet, {
      from: [3, 2],
      to: [3.6, 2],
      radiusCm: 0.8,
      share: 0.3,
    });
    expect(only.every((s) => s.share === 0.3)).toBe(true);
  });
});

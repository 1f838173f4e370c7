import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES, type Side } from '../anatomy';
import { angleBetweenDeg, unit, type Vec } from '../shared';
import { growthAt, growthField, liveField, nodeCentre, nodeDirection, type Stroke } from './growthField';
import { partingEdges } from './partings';

const zone = ZONES['lower-leg-front'];
const sheetOf = (id: keyof typeof ZONES, side: Side) => {
  const made = sheetFor(ZONES[id], side, {});
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};
const leg = sheetOf('lower-leg-front', 'left');

describe('growthField', () => {
  it('gives unit vectors on a grid of at most 5 mm, whatever is combed', () => {
    const stroke = fc
      .tuple(
        fc.double({ min: 0, max: 17, noNaN: true }),
        fc.double({ min: 0, max: 37, noNaN: true }),
        fc.double({ min: 0, max: 6.283, noNaN: true }),
      )
      .map(([x, y, a]): Stroke => ({ at: [x, y], towards: [Math.cos(a), Math.sin(a)] }));
    fc.assert(
      fc.property(fc.array(stroke, { maxLength: 8 }), (strokes) => {
        const field = growthField(zone, 'left', leg, strokes);
        expect(field.spacingCm).toBeLessThanOrEqual(0.5);
        for (let n = 0; n < field.columns * field.rows; n++) {
          expect(Math.hypot(...nodeDirection(field, n))).toBeCloseTo(1, 9);
        }
        for (const s of strokes) expect(Number.isFinite(growthAt(field, s.at)[0])).toBe(true);
      }),
      { seed: 2, numRuns: 40 },
    );
  });
  it('is the stated weighted sum: 1/(d² + 1) a stroke, 0.0025 the default', () => {
    const strokes: Stroke[] = [
      { at: [3, 4], towards: [1, 0] },
      { at: [12, 30], towards: [0, -1] },
    ];
    const field = growthField(zone, 'left', leg, strokes);
    for (const node of [0, 57, 400, 1200]) {
      const at = nodeCentre(field, node);
      const fallback = unit(zone.pattern(at[0] / leg.widthCm, at[1] / leg.heightCm)) ?? [0, 1];
      let [x, y] = [0.0025 * fallback[0], 0.0025 * fallback[1]];
      for (const s of strokes) {
        const w = 1 / ((at[0] - s.at[0]) ** 2 + (at[1] - s.at[1]) ** 2 + 1);
        [x, y] = [x + w * s.towards[0], y + w * s.towards[1]];
      }
      expect(angleBetweenDeg(nodeDirection(field, node), [x, y])).toBeLessThan(1e-4);
    }
  });
  it('lets two strokes turn a whole chest', () => {
    const sheet = sheetOf('chest', 'middle');
    const field = growthField(ZONES.chest, 'middle', sheet, [
      { at: [8, 12], towards: [0, 1] },
      { at: [24, 12], towards: [0, 1] },
    ]);
    for (let n = 0; n < field.columns * field.rows; n++) {
      expect(angleBetweenDeg(nodeDirection(field, n), [0, 1])).toBeLessThan(45);
    }
  });
  it('mirrors: a mirrored chart gives the mirrored field', () => {
    const right = sheetOf('lower-leg-front', 'right');
    const strokes: Stroke[] = [{ at: [4, 10], towards: [0.5, 1] }];
    const flipped = strokes.map((s): Stroke => ({
      at: [leg.widthCm - s.at[0], s.at[1]],
      towards: [-s.towards[0], s.towards[1]],
    }));
    const a = growthField(zone, 'left', leg, strokes);
    const b = growthField(zone, 'right', right, flipped);
    for (let n = 0; n < a.columns * a.rows; n++) {
      const at = nodeCentre(a, n);
      const [dx, dy] = growthAt(b, [leg.widthCm - at[0], at[1]]);
      expect(angleBetweenDeg(nodeDirection(a, n), [-dx, dy])).toBeLessThan(1e-4);
    }
  });
  it('keeps the parting of the underarm sharp and near the centre (common practice, no source)', () => {
    const sheet = sheetOf('underarm', 'left');
    const edges = partingEdges(growthField(ZONES.underarm, 'left', sheet, []));
    const heights = edges.map((e): number => (e.from[1] + e.to[1]) / 2);
    expect(edges.length).toBeGreaterThan(5);
    for (const y of heights) expect(Math.abs(y - 6.5)).toBeLessThan(0.8);
    const at: Vec = [4.5, 3];
    expect(growthAt(growthField(ZONES.underarm, 'left', sheet, []), at)[1]).toBeLessThan(-0.9);
  });
  it('follows strokes that come and go to the field that they make at once', () => {
    const stroke = fc
      .record({
        x: fc.double({ min: 0, max: 17, noNaN: true }),
        y: fc.double({ min: 0, max: 37, noNaN: true }),
        a: fc.double({ min: 0, max: 6.283, noNaN: true }),
        crosses: fc.boolean(),
      })
      .map(({ x, y, a, crosses }): Stroke => ({
        at: [x, y],
        towards: [Math.cos(a), Math.sin(a)],
        ...(crosses ? { share: 0.3 } : {}),
      }));
    fc.assert(
      fc.property(
        fc.array(stroke, { minLength: 3, maxLength: 12 }),
        fc.array(fc.nat(), { minLength: 2, maxLength: 8 }),
        (strokes, steps) => {
          const live = liveField(zone, 'left', leg);
          for (const step of [...steps, 0]) {
            const kept = strokes.filter((_, i) => ((step >> i) & 1) === 0);
            live.put(kept);
            const anew = growthField(zone, 'left', leg, kept);
            for (let n = 0; n < anew.columns * anew.rows; n += 7) {
              expect(angleBetweenDeg(nodeDirection(live.field, n), nodeDirection(anew, n))).toBeLessThan(1e-3);
              expect(live.field.confidence[n]).toBeCloseTo(anew.confidence[n] ?? 0, 9);
              expect(live.field.crossing?.share[n] ?? 0).toBeCloseTo(anew.crossing?.share[n] ?? 0, 6);
            }
          }
        },
      ),
      { seed: 12, numRuns: 25 },
    );
  });
  it('stays made of unit vectors where strokes cancel each other', () => {
    const field = growthField(zone, 'left', leg, [
      { at: [3, 10], towards: [1, 0] },
      { at: [3, 10], towards: [-1, 0] },
    ]);
    for (let n = 0; n < field.columns * field.rows; n++) {
      expect(Math.hypot(...nodeDirection(field, n))).toBeCloseTo(1, 9);
    }
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { regionArea, type Ring } from '../shared';
import { hairRegion } from '../strips';
import { exclusionOf, MARK_KINDS, markAreaCm2, type MarkKind } from './marks';

/** Beyond the mark's own radius, mm: from memory, written down here a second time. */
const BEYOND_MM: Readonly<Record<MarkKind, number>> = {
  mole: 5,
  tag: 5,
  scar: 5,
  wart: 10,
  piercing: 10,
  vein: 10,
  tattoo: 10,
  irritated: 20,
};

const box: Ring = [
  [0, 0],
  [10, 0],
  [10, 10],
  [0, 10],
];

describe('marks', () => {
  it('take a whole disc in the middle, half of one at an edge, a quarter in a corner', () => {
    const disc = Math.PI * 0.9 ** 2;
    const area = (x: number, y: number): number => markAreaCm2(box, { kind: 'mole', at: [x, y], radiusMm: 4 });
    expect(area(5, 5)).toBeCloseTo(disc, 1);
    expect(area(0, 5)).toBeCloseTo(disc / 2, 1);
    expect(area(10, 10)).toBeCloseTo(disc / 4, 1);
  });
  it('keep 5, 10 or 20 mm beyond their radius by kind, tender ones most (from memory)', () => {
    expect(MARK_KINDS.map((kind) => [kind, exclusionOf({ kind, at: [1, 1], radiusMm: 3 }).clearanceMm])).toEqual(
      MARK_KINDS.map((kind) => [kind, 3 + BEYOND_MM[kind]]),
    );
    expect(MARK_KINDS).toHaveLength(8);
  });
  it('never lie inside the hair area, and cost no more than their rings together', () => {
    const mark = fc.record({
      kind: fc.constantFrom(...MARK_KINDS),
      at: fc.tuple(fc.double({ min: 0, max: 10, noNaN: true }), fc.double({ min: 0, max: 10, noNaN: true })),
      radiusMm: fc.double({ min: 0.5, max: 12, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(mark, { maxLength: 5 }), (marks) => {
        const { hair } = hairRegion(box, marks.map(exclusionOf));
        const lost = 100 - regionArea(hair);
        expect(lost).toBeGreaterThanOrEqual(-1e-6);
        expect(lost).toBeLessThanOrEqual(marks.reduce((s, m) => s + markAreaCm2(box, m), 0) + 1e-3);
        for (const m of marks) {
          for (const ring of hair) {
            for (const p of ring) {
              expect(Math.hypot(p[0] - m.at[0], p[1] - m.at[1])).toBeGreaterThan(
                (m.radiusMm + BEYOND_MM[m.kind]) / 10 - 0.02,
              );
            }
          }
        }
      }),
      { seed: 8, numRuns: 60 },
    );
  });
});

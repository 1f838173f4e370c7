import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { angleBetweenDeg } from '../shared';
import { COMPASS, strokesFromHandTest } from './handTests';

describe('strokesFromHandTest', () => {
  it('lays the growth opposite to the resistance (common practice, no source)', () => {
    expect(strokesFromHandTest({ at: [3, 4], resists: 'up', rises: null })).toEqual({
      strokes: [{ at: [3, 4], towards: [0, 1] }],
      agree: true,
    });
    expect(strokesFromHandTest({ at: [3, 4], resists: 'left', rises: 'left' }).strokes).toEqual([
      { at: [3, 4], towards: [1, 0] },
    ]);
  });
  it('averages answers next to each other and keeps both where they disagree', () => {
    const near = strokesFromHandTest({ at: [0, 0], resists: 'up', rises: 'up-right' });
    expect(near.agree).toBe(true);
    expect(
      angleBetweenDeg(near.strokes[0]?.towards ?? [1, 0], [-Math.sin(Math.PI / 8), Math.cos(Math.PI / 8)]),
    ).toBeLessThan(1e-6);
    for (const rises of ['right', 'down'] as const) {
      expect(strokesFromHandTest({ at: [0, 0], resists: 'up', rises })).toMatchObject({
        agree: false,
        strokes: [{ towards: [0, 1] }, { share: 0.5 }],
      });
    }
  });
  it('gives unit vectors that never lie along an answer', () => {
    fc.assert(
      fc.property(fc.constantFrom(...COMPASS), fc.option(fc.constantFrom(...COMPASS)), (resists, rises) => {
        const { strokes } = strokesFromHandTest({ at: [1, 2], resists, rises });
        for (const s of strokes) expect(Math.hypot(s.towards[0], s.towards[1])).toBeCloseTo(1, 12);
        const against = strokesFromHandTest({ at: [1, 2], resists, rises: null }).strokes[0]?.towards ?? [0, 0];
        expect(angleBetweenDeg(strokes[0]?.towards ?? [0, 0], against)).toBeLessThanOrEqual(45);
      }),
      { seed: 2 },
    );
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ZONE_IDS } from '../anatomy';
import { handworkOf, type HandworkInput } from './handwork';

const of = (more: Partial<HandworkInput>) =>
  handworkOf({ zone: 'lower-leg-front', family: 'hard', lengthCm: 10, coarseness: 3, ...more });

describe('handworkOf (common practice, no source)', () => {
  it('one pull where nothing else is said', () => expect(of({})).toEqual({ pulls: 1, pace: 'quick', note: null }));
  it('the knee in short tugs, more of them on a longer strip', () => {
    expect(of({ zone: 'knee', lengthCm: 11 }).pulls).toBe(3);
    expect(of({ zone: 'knee', lengthCm: 4 }).pulls).toBe(1);
    expect(of({ zone: 'knee', family: 'soft' }).note).toContain('short tugs');
    expect(of({ zone: 'knee' }).note).toContain('peeled piecemeal');
  });
  it('near the eye three short pulls; the lip stretched two ways; the ear braced, its ball cold', () => {
    expect(of({ zone: 'brow', lengthCm: 2 }).pulls).toBe(3);
    expect(of({ zone: 'upper-lip', lengthCm: 2 }).note).toContain('over the teeth');
    expect(of({ zone: 'ear', lengthCm: 1 }).note).toContain('never into the canal');
    expect(of({ zone: 'ear', lengthCm: 2.5 }).note).toBe(
      'Peel along the rim. Brace the ear at its base; no half pull.',
    );
  });
  it('a long bikini strip in a row of flat tugs, a short one in one; a thick coarse underarm strip in halves', () => {
    expect(of({ zone: 'bikini-extended', lengthCm: 7.5 }).pulls).toBe(3);
    expect(of({ zone: 'bikini-edge', lengthCm: 5 }).pulls).toBe(1);
    expect(of({ zone: 'underarm', coarseness: 5, lengthCm: 7 }).pulls).toBe(2);
    expect(of({ zone: 'underarm', coarseness: 3, lengthCm: 7 }).pulls).toBe(1);
    expect(of({ zone: 'underarm', family: 'sugar', coarseness: 5, lengthCm: 7 }).pulls).toBe(1);
  });
  it('fine hair is pulled steadily, in every zone; paste, which pulls with the growth, is not slowed', () => {
    for (const zone of ['lower-leg-front', 'brow', 'knee'] as const) {
      expect(of({ zone, coarseness: 1 }).pace).toBe('steady');
    }
    expect(of({ coarseness: 1, family: 'sugar' }).pace).toBe('quick');
  });
  it('a longer strip never takes fewer pulls, and every pull has a length a hand can tug', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ZONE_IDS),
        fc.constantFrom('hard' as const, 'soft' as const, 'sugar' as const),
        fc.double({ min: 1, max: 26, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.integer({ min: 1, max: 5 }),
        (zone, family, lengthCm, more, coarseness) => {
          const here = handworkOf({ zone, family, lengthCm, coarseness });
          expect(here.pulls).toBeGreaterThanOrEqual(1);
          expect(handworkOf({ zone, family, lengthCm: lengthCm + more, coarseness }).pulls).toBeGreaterThanOrEqual(
            here.pulls,
          );
          if (here.pulls > 1) expect(here.note).not.toBeNull();
        },
      ),
      { seed: 31, numRuns: 200 },
    );
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared';
import { learnFelt, type FeltVisit, type HeatFelt } from './feltLearning';

const visits = (...felt: readonly HeatFelt[]): readonly FeltVisit[] => felt.map((f) => ({ marginK: -1, felt: f }));

describe('learnFelt', () => {
  it('knows nothing without visits', () => {
    expect(learnFelt([])).toMatchObject({ shiftK: 0, answers: 0 });
    expect(Math.abs(learnFelt([]).meanK)).toBeLessThan(1e-9);
  });
  it('goes cooler after one "too warm" at once, warmer only after several "too cool", and never by much', () => {
    expect(learnFelt(visits('too-warm')).shiftK).toBeLessThan(-0.4);
    expect(learnFelt(visits('too-cool')).shiftK).toBeLessThanOrEqual(0.8);
    expect(learnFelt(visits('too-warm', 'too-warm', 'too-warm')).shiftK).toBeLessThan(
      learnFelt(visits('too-warm')).shiftK,
    );
    for (let n = 1; n < 8; n++) {
      const { shiftK } = learnFelt(Array.from({ length: n }, () => ({ marginK: -1, felt: 'too-cool' as const })));
      expect(shiftK).toBeGreaterThanOrEqual(0);
      expect(shiftK).toBeLessThanOrEqual(0.8);
    }
  });
  it('hears nothing in paste at body heat being right, however often, but always hears "too warm"', () => {
    const paste = (felt: HeatFelt, n: number): readonly FeltVisit[] =>
      Array.from({ length: n }, () => ({ marginK: -7.7, felt }));
    expect(learnFelt(paste('right', 12))).toMatchObject({ shiftK: 0, answers: 0 });
    expect(learnFelt(paste('too-cool', 12)).shiftK).toBe(0);
    expect(learnFelt(paste('too-warm', 1)).shiftK).toBeLessThan(0);
  });
  it('comes back towards the middle as visits felt right, and grows surer', () => {
    const warm = learnFelt(visits('too-warm'));
    const right = learnFelt(visits('too-warm', 'right', 'right', 'right'));
    expect(right.shiftK).toBeGreaterThan(warm.shiftK);
    expect(right.band[1] - right.band[0]).toBeLessThan(warm.band[1] - warm.band[0]);
  });
  it('one more "too warm" never makes anyone’s limit higher, whatever came before', () => {
    const visit = fc.record({
      marginK: fc.double({ min: -5, max: 1, noNaN: true }),
      felt: fc.constantFrom<HeatFelt>('too-warm', 'right', 'too-cool'),
    });
    fc.assert(
      fc.property(fc.array(visit, { maxLength: 8 }), fc.double({ min: -4, max: 0.5, noNaN: true }), (past, marginK) => {
        expect(learnFelt([...past, { marginK, felt: 'too-warm' }]).shiftK).toBeLessThanOrEqual(
          learnFelt(past).shiftK + 0.011,
        );
      }),
      { seed: 4, numRuns: 120 },
    );
  });
  const saidAt = (marginK: number): HeatFelt => {
    if (marginK > -0.5) return 'too-warm';
    return marginK < -3.5 ? 'too-cool' : 'right';
  };
  it('finds the shift of made-up clients: over 300 of them the mean error after six visits is under half the prior’s', () => {
    const random = seededRandom(8);
    let [error, prior, inside] = [0, 0, 0];
    for (let k = 0; k < 300; k++) {
      const shift = random.normal();
      // as planned: a degree or so under the limit that the studio uses
      const past = Array.from({ length: 6 }, (): FeltVisit => {
        const marginK = -3.5 + 4 * random.next();
        const m = marginK - shift + random.normal();
        return { marginK, felt: saidAt(m) };
      });
      const learned = learnFelt(past);
      error += Math.abs(learned.meanK - shift);
      prior += Math.abs(shift);
      if (shift >= learned.band[0] && shift <= learned.band[1]) inside++;
    }
    expect(error).toBeLessThan(0.55 * prior);
    expect(inside / 300).toBeGreaterThan(0.85);
  });
});

import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared';
import { byWeek, habitOf, handEvidence } from './learning';

const DAY = 86_400_000;
const NOW = Date.UTC(2027, 4, 8, 12);

describe('weeks', () => {
  it('hold what was done in their seven days, the last one ending now', () => {
    const done = [
      { atMs: NOW, share: 1 },
      { atMs: NOW - 6 * DAY, share: 0 },
      { atMs: NOW - 7 * DAY, share: 0.5 },
      { atMs: NOW - 20 * DAY, share: 0.25 },
      { atMs: NOW - 21 * DAY, share: 1 },
    ];
    expect(byWeek(done, NOW, 3)).toEqual([
      { share: 0.25, count: 1 },
      { share: 0.5, count: 1 },
      { share: 0.5, count: 2 },
    ]);
    expect(byWeek([], NOW, 2).map((w) => w.share)).toEqual([null, null]);
  });
});

describe('a habit', () => {
  it('is what cost most three times and more, the oftenest first', () => {
    expect(habitOf(['lift', null, 'lift', 'slack'])).toBeNull();
    expect(habitOf(['lift', 'slack', 'lift', 'slack', 'slack', null, 'lift', 'slack'])).toEqual({
      ...{ fault: 'slack', strips: 4 },
    });
  });
});

describe('the hand’s own visits', () => {
  const visits = (n: number, pace: number, spread = 0.08): readonly number[] => {
    const random = seededRandom(Math.round(100 * pace) + n);
    return Array.from({ length: n }, () => pace * Math.exp(spread * random.normal()));
  };
  it('speak for another level only where all of the band does, and never from few', () => {
    // who learns is planned 1.3 times as slow as a practised hand: a quarter quicker than that is practised
    expect(handEvidence('trainee', visits(20, 1 / 1.3)).fits).toBe('practised');
    expect(handEvidence('trainee', visits(20, 1)).fits).toBeNull();
    expect(handEvidence('practised', visits(20, 1.35)).fits).toBe('trainee');
    expect(handEvidence('practised', visits(20, 0.88, 0.03)).fits).toBe('expert');
    expect(handEvidence('trainee', visits(7, 1 / 1.3)).fits).toBeNull();
    // between two levels, or all over the place: nothing
    expect(handEvidence('trainee', visits(20, 0.877)).fits).toBeNull();
    expect(handEvidence('trainee', visits(10, 0.78, 0.6)).fits).toBeNull();
  });
  it('give the middle of the ratios and a band round it', () => {
    const { ratio, from, to, visits: n } = handEvidence('practised', [0.8, 0.9, 0.95, 1, 1, 1.05, 1.1, 1.2, NaN]);
    expect([n, ratio]).toEqual([8, 1]);
    expect(from).toBeLessThan(1);
    expect(to).toBeGreaterThan(1);
  });
  it('hold the true middle nine times in ten', () => {
    const random = seededRandom(4);
    let held = 0;
    const runs = 1000;
    for (let k = 0; k < runs; k++) {
      const { from, to } = handEvidence(
        'practised',
        Array.from({ length: 15 }, () => Math.exp(0.2 * random.normal())),
      );
      if ((from ?? 2) <= 1 && (to ?? 0) >= 1) held++;
    }
    expect(held / runs).toBeGreaterThan(0.86);
  });
});

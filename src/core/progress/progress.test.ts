import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared';
import { progressWords } from './progressWords';
import { trendOf, type Trend } from './trend';

const points = (...values: readonly number[]) => values.map((value, i) => ({ day: i, value }));

describe('a trend over visits', () => {
  it('is the median slope, worked by hand: 1, 1, 1, 10/3, 9/2, 8 give 13/6', () => {
    const trend = trendOf(points(0, 1, 2, 10));
    expect((trend?.to ?? 0) - (trend?.from ?? 0)).toBeCloseTo(3 * (13 / 6), 9);
  });
  it('is not led by one odd visit', () => {
    const straight = trendOf(points(30, 28, 26, 24, 22, 20, 18, 16));
    const odd = trendOf(points(30, 28, 26, 60, 22, 20, 18, 16));
    expect(straight).toEqual({ from: 30, to: 16, isClear: true });
    expect(Math.abs((odd?.to ?? 0) - 16)).toBeLessThan(2);
    expect(odd?.isClear).toBe(true);
  });
  it('is clear by Mann–Kendall: four in a row are not yet, five are (S = 10, z = 9/√(50/3) = 2.2)', () => {
    // n = 4: S = 6, z = 5/√(26/3) = 1.70; the last pair turned S is 4, z = 1.02
    expect(trendOf(points(4, 3, 1, 2))?.isClear).toBe(false);
    expect(trendOf(points(5, 4, 3, 2, 1))?.isClear).toBe(true);
    expect(trendOf(points(1, 2, 3))).toBeNull();
  });
  it('calls chance a trend about once in ten (two sides of one in twenty), over made-up flat courses', () => {
    const random = seededRandom(5);
    let clear = 0;
    for (let k = 0; k < 400; k++) {
      if (trendOf(points(...Array.from({ length: 10 }, () => random.normal())))?.isClear) clear++;
    }
    expect(clear / 400).toBeGreaterThan(0.04);
    expect(clear / 400).toBeLessThan(0.14);
  });
});

describe('what has changed, in words', () => {
  const none = { minutes: null, density: null, pain: null, tweezed: null };
  const goes = (from: number, to: number, isClear = true): Trend => ({ from, to, isClear });
  it('says what shows clearly and nothing else', () => {
    const all = { minutes: goes(34, 14), density: goes(21, 12), pain: goes(6, 2), tweezed: goes(31, 4) };
    expect(progressWords(all, 'In a year')).toBe(
      'In a year: 20 minutes shorter at the table, four in ten hairs fewer, it hurts less: 2 of 10 instead of 6, 27 hairs fewer left to tweeze.',
    );
    expect(progressWords(none, 'In a year')).toBe('');
    expect(progressWords({ ...none, minutes: goes(34, 14, false), density: goes(20, 19) }, 'In a year')).toBe('');
  });
  it('hides no turn for the worse', () => {
    const worse = { ...none, minutes: goes(20, 30), density: goes(10, 14) };
    expect(progressWords(worse, 'In half a year')).toBe(
      'In half a year: 10 minutes longer at the table, four in ten hairs more.',
    );
  });
});

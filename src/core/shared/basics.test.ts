import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, addMonths, daysBetween, isCivilDate, laterDate, yearsBetween } from './civilDate';
import { clamp, roundTo, sum } from './numbers';
import { seededRandom } from './random';
import { angleBetweenDeg, perpendicular, rotate, unit } from './vec';

describe('civil dates', () => {
  it('count days over leap days, year ends and clock changes', () => {
    expect(addDays('2028-02-28', 1)).toBe('2028-02-29');
    expect(addDays('2027-12-31', 1)).toBe('2028-01-01');
    expect(daysBetween('2027-03-27', '2027-03-29')).toBe(2);
    expect(addMonths('2027-08-31', 6)).toBe('2028-02-29');
    expect(yearsBetween('2009-05-15', '2027-05-14')).toBe(17);
    expect(yearsBetween('2009-05-14', '2027-05-14')).toBe(18);
    expect(laterDate('2027-05-14', '2027-04-30')).toBe('2027-05-14');
  });
  it('go there and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: -2000, max: 2000 }), (days) => {
        expect(daysBetween('2027-05-14', addDays('2027-05-14', days))).toBe(days);
      }),
      { seed: 1 },
    );
  });
  it.each(['2027-02-29', '2027-13-01', '27-05-14', '2027-5-14', '', 'tomorrow', '1700-01-01', '2027-05-14T10:00'])(
    '%j is none',
    (text) => expect(isCivilDate(text)).toBe(false),
  );
});

describe('vectors', () => {
  it('turn x towards y, keep their length, and measure angles both ways alike', () => {
    expect(perpendicular([1, 0])).toEqual([-0, 1]);
    fc.assert(
      fc.property(fc.double({ min: -180, max: 180, noNaN: true }), (deg) => {
        const turned = rotate([1, 0], deg);
        expect(Math.hypot(...turned)).toBeCloseTo(1, 9);
        expect(angleBetweenDeg([1, 0], turned)).toBeCloseTo(Math.abs(deg), 6);
        expect(angleBetweenDeg(turned, [1, 0])).toBeCloseTo(Math.abs(deg), 6);
      }),
      { seed: 1 },
    );
  });
  it('have no direction at zero, nor where they are no numbers', () => {
    expect(unit([0, 0])).toBeNull();
    expect(unit([Number.NaN, 1])).toBeNull();
    expect(unit([Infinity, 1])).toBeNull();
  });
});

describe('numbers and chance', () => {
  it('round and hold', () => {
    expect(roundTo(1.23456, 2)).toBe(1.23);
    expect(Object.is(roundTo(-1e-9, 4), 0)).toBe(true);
    expect(clamp(7, 0, 5)).toBe(5);
    expect(sum([1, 2, 3])).toBe(6);
  });
  it('the same seed gives the same chance, within its bounds and about even', () => {
    const [a, b] = [seededRandom(7), seededRandom(7)];
    const values = Array.from({ length: 4000 }, () => a.next());
    expect(Array.from({ length: 4000 }, () => b.next())).toEqual(values);
    expect(values.every((v) => v >= 0 && v < 1)).toBe(true);
    expect(sum(values) / 4000).toBeCloseTo(0.5, 1);
    const die = Array.from({ length: 3000 }, () => a.whole(1, 6));
    expect(new Set(die)).toEqual(new Set([1, 2, 3, 4, 5, 6]));
    const normal = Array.from({ length: 4000 }, () => a.normal());
    expect(Math.abs(sum(normal) / 4000)).toBeLessThan(0.06);
    expect(sum(normal.map((z) => z * z)) / 4000).toBeCloseTo(1, 0);
  });
});

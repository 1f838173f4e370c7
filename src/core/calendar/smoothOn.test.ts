import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from '../shared';
import { smoothDaysFor, smoothSeries } from './smoothOn';

const base = { from: '2027-05-08', smoothDays: 16, readyFrom: 28, readyTo: 45 };

describe('smoothDaysFor', () => {
  it('keeps two days clear before the date, and is no longer before than the skin stays smooth', () => {
    expect(smoothDaysFor('2027-07-17', 16)).toEqual({ fromOn: '2027-07-01', toOn: '2027-07-15' });
  });
});

describe('smoothSeries', () => {
  it('needs no visit where today’s wax is still smooth then', () => {
    expect(smoothSeries({ ...base, eventOn: '2027-05-20' })).toMatchObject({ visits: [], isReady: true });
  });
  it('is one visit where one gap reaches the date, as late as it may be', () => {
    // 40 days on, two days before the date
    expect(smoothSeries({ ...base, eventOn: '2027-06-19' })).toEqual({
      visits: ['2027-06-17'],
      gapDays: [40],
      isReady: true,
    });
  });
  it('is several where the date is far, all of them in the ready window', () => {
    const series = smoothSeries({ ...base, eventOn: '2027-08-28' });
    expect(series?.visits.at(-1)).toBe('2027-08-26');
    expect(series?.gapDays).toEqual([37, 37, 36]);
    expect(series?.isReady).toBe(true);
  });
  it('says where no series fits: the date lies between two windows', () => {
    // 20 days on: too late for today’s wax, too early for the next
    const series = smoothSeries({ ...base, eventOn: '2027-05-30' });
    expect(series).toMatchObject({ isReady: false });
    expect(series?.visits).toHaveLength(1);
    expect(smoothSeries({ ...base, eventOn: '2027-05-09' })).toBeNull();
  });
  it('puts no visit on a day that is not free: the last moves within what is smooth, one between to the nearest', () => {
    const closed = ['2027-08-26', '2027-06-14', '2027-06-15'];
    const isFree = (on: string): boolean => !closed.includes(on);
    const series = smoothSeries({ ...base, eventOn: '2027-08-28', isFree });
    expect(series?.visits.at(-1)).toBe('2027-08-25');
    expect(series?.visits.filter((on) => !isFree(on))).toEqual([]);
    expect(series?.isReady).toBe(true);
    // where nothing at all is free it says what would be right
    expect(smoothSeries({ ...base, eventOn: '2027-06-19', isFree: () => false })?.visits).toEqual(['2027-06-17']);
  });
  it('ends smooth on its date whatever the date, and in ready gaps wherever such exist (property, brute force)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 240 }),
        fc.integer({ min: 5, max: 25 }),
        fc.integer({ min: 14, max: 40 }),
        fc.integer({ min: 0, max: 25 }),
        (days, smoothDays, readyFrom, wide) => {
          const eventOn = addDays(base.from, days);
          const readyTo = readyFrom + wide;
          const series = smoothSeries({ ...base, eventOn, smoothDays, readyFrom, readyTo });
          expect(series).not.toBeNull();
          const last = series?.visits.at(-1) ?? base.from;
          const before = daysBetween(last, eventOn);
          expect(before).toBeLessThanOrEqual(Math.max(2, smoothDays));
          if ((series?.visits.length ?? 0) > 0) expect(before).toBeGreaterThanOrEqual(2);
          // every sum of n gaps lies between n·from and n·to: brute force over n and the last day
          const reach = Array.from({ length: 12 }, (_, i) => i + 1).some((n) =>
            Array.from({ length: Math.max(2, smoothDays) - 1 }, (_, i) => days - 2 - i).some(
              (total) => n * readyFrom <= total && total <= n * readyTo,
            ),
          );
          expect(series?.isReady).toBe(days <= Math.max(2, smoothDays) || reach);
        },
      ),
      { seed: 16, numRuns: 400 },
    );
  });
});

import { describe, expect, it } from 'vitest';
import { ZONES } from '@/core/anatomy';
import { careAfter } from '@/core/care';
import { regrowthModel } from '@/core/hair';
import { careLines, momentWords } from '@/formats/careCard';
import { HAIRS, lengthsOn, quantileMm } from './growingHairs';

const LONDON = 'Europe/London';
/** Saturday 8 May 2027, 10:00 in London. */
const NOW = Date.UTC(2027, 4, 8, 9, 0);

describe('the hairs of the line', () => {
  const model = regrowthModel(ZONES.underarm.growth, 'regular');
  it('are as long as the model says that their share of the follicles is', () => {
    const mm = quantileMm(model, 0.35, 35);
    expect(mm).toBeGreaterThan(1);
    expect(model.shareAtLeast(mm, 35)).toBeCloseTo(0.35, 2);
  });
  it('grow week by week, none shorter than the week before, the longest first', () => {
    const weeks = [1, 2, 3, 4, 5, 6].map((w) => lengthsOn(model, 7 * w));
    expect(weeks[0]?.every((mm) => mm === 0)).toBe(true);
    const last = weeks.at(-1) ?? [];
    expect(last).toHaveLength(HAIRS);
    expect(last[0]).toBeGreaterThan(last[HAIRS - 1] ?? Infinity);
    const shrunk = weeks.slice(1).flatMap((w, i) => w.filter((mm, k) => mm < (weeks[i]?.[k] ?? 0)));
    expect(shrunk).toEqual([]);
  });
});

describe('care by the clock', () => {
  it('is said as a day and a time, today and far days by name', () => {
    const at = (hours: number, by: 'hour' | 'day') =>
      momentWords(NOW + hours * 3_600_000, by, { nowMs: NOW, timeZone: LONDON });
    expect(at(4, 'hour')).toBe('Today, 14:00');
    expect(at(24, 'hour')).toBe('Sunday 10:00');
    expect(at(72, 'day')).toBe('Tuesday');
    expect(at(24 * 10, 'day')).toBe('18 May');
  });
  it('counts from the next quarter of an hour after the finish, and joins what comes at one time', () => {
    const after = careAfter(['underarm'], ['hard']);
    const lines = careLines(after, NOW + 11 * 60_000, { nowMs: NOW, timeZone: LONDON });
    expect(lines.find((l) => l.what.includes('deodorant'))).toEqual({
      when: 'Sunday 10:15',
      what: 'deodorant again; sport and anything perfumed again',
    });
  });
  it('counts hours and not days over a clock change: 24 h after Saturday 10:00 is Sunday 11:00 in spring', () => {
    // the clocks of London went forward on 28 March 2027
    const saturday = Date.UTC(2027, 2, 27, 10, 0);
    expect(momentWords(saturday + 24 * 3_600_000, 'hour', { nowMs: saturday, timeZone: LONDON })).toBe('Sunday 11:00');
  });
});

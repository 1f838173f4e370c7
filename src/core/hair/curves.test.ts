import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hairsPerCm2, ZONE_IDS, ZONES } from '../anatomy';
import { readyWindow, regrowthCurve, regrowthModel, smoothUntilDay } from './regrowth';
import { lengthSpreadCv, lengthStrata, tooLongShare, workableShare } from './todaysLengths';

const { growth } = ZONES.underarm;

describe('regrowthModel', () => {
  it('is a distribution: shares between 0 and 1, falling with length, rising with the days', () => {
    const model = regrowthModel(growth, 'regular');
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 15, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.integer({ min: 0, max: 69 }),
        (mm, more, day) => {
          const share = model.shareAtLeast(mm, day);
          expect(share).toBeGreaterThanOrEqual(0);
          expect(share).toBeLessThanOrEqual(1);
          expect(model.shareAtLeast(mm + more, day)).toBeLessThanOrEqual(share + 1e-12);
          expect(model.shareAtLeast(mm, day + 1)).toBeGreaterThanOrEqual(share - 1e-12);
        },
      ),
      { seed: 9, numRuns: 100 },
    );
  });
  it('comes back in waves: a first wax wakes fewer resting hairs than regular ones', () => {
    const visible = (history: 'regular' | 'lapsed' | 'first'): number =>
      regrowthModel(growth, history).shareAtLeast(0.5, 19);
    expect(visible('regular')).toBeGreaterThan(visible('lapsed'));
    expect(visible('lapsed')).toBeGreaterThan(visible('first'));
  });
  it('is earlier for a faster client and later for a longer lag', () => {
    const from = (rateFactor: number, lagShiftDays = 0): number =>
      readyWindow(
        regrowthCurve(regrowthModel(growth, 'regular', { rateFactor, lagShiftDays }), { shortestMm: 4, longestMm: 13 }),
      )?.fromDay ?? 999;
    expect(from(1.3)).toBeLessThan(from(1));
    expect(from(1)).toBeLessThan(from(0.8));
    expect(from(1, 3)).toBe(from(1) + 3);
  });
  it('gives every zone smooth days and a window for sugar, hard wax later', () => {
    for (const id of ZONE_IDS) {
      const zone = ZONES[id];
      const model = regrowthModel(zone.growth, 'regular');
      const at = (mm: number): number =>
        readyWindow(regrowthCurve(model, { shortestMm: mm * zone.shortestFactor, longestMm: 13 }))?.fromDay ?? 999;
      expect(smoothUntilDay(model)).toBeGreaterThanOrEqual(9);
      expect(at(1.6)).toBeLessThan(at(4));
      expect(at(4)).toBeLessThan(at(6));
    }
  });
  it('is never ready where the hair cannot grow so long', () => {
    expect(
      readyWindow(
        regrowthCurve(regrowthModel({ ...growth, growingDays: 20 }, 'regular'), { shortestMm: 6, longestMm: 13 }),
      ),
    ).toBeNull();
  });
});

describe('hair today', () => {
  it('splits into too short, workable and too long', () => {
    const hair = { lengthMm: 7, history: 'regular' } as const;
    const short = workableShare(hair, { shortestMm: 0, longestMm: 4 });
    expect(short + workableShare(hair, { shortestMm: 4, longestMm: 13 }) + tooLongShare(hair, 13)).toBeCloseTo(1, 9);
    const strata = lengthStrata(hair, 200);
    expect(strata.filter((mm) => mm >= 4 && mm <= 13).length / 200).toBeCloseTo(
      workableShare(hair, { shortestMm: 4, longestMm: 13 }),
      2,
    );
  });
  it('spreads more where the visits are irregular', () => {
    const share = (history: 'regular' | 'shaved'): number =>
      workableShare({ lengthMm: 7, history }, { shortestMm: 5, longestMm: 10 });
    expect(share('shaved')).toBeLessThan(share('regular'));
  });
  it('counts hairs from the density felt, between the steps too', () => {
    expect(hairsPerCm2(12, 3)).toBe(12);
    const steps = [1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5].map((d) => hairsPerCm2(12, d));
    steps.slice(1).forEach((n, i) => expect(n).toBeGreaterThan(steps[i] ?? 0));
  });
});

describe('lengths found today', () => {
  const seen = { lengthMm: 6, history: 'regular' } as const;
  it('spread as usual where only the typical one is known', () => {
    expect(lengthSpreadCv(seen)).toBe(0.25);
    expect(lengthSpreadCv({ ...seen, history: 'first' })).toBe(0.35);
  });
  it('put about one hair in twenty beyond the shortest and the longest found', () => {
    fc.assert(
      fc.property(fc.double({ min: 1.15, max: 3, noNaN: true }), (ratio) => {
        const hair = { ...seen, shortestMm: 6 / ratio, longestMm: 6 * ratio };
        expect(tooLongShare(hair, 6 * ratio)).toBeCloseTo(0.05, 2);
        expect(workableShare(hair, { shortestMm: 6 / ratio, longestMm: 6 * ratio })).toBeCloseTo(0.9, 2);
      }),
      { seed: 3, numRuns: 50 },
    );
  });
  it('are wider the further apart they lie, and one of them alone tells too', () => {
    expect(lengthSpreadCv({ ...seen, shortestMm: 5, longestMm: 7 })).toBeLessThan(
      lengthSpreadCv({ ...seen, shortestMm: 3, longestMm: 12 }),
    );
    expect(lengthSpreadCv({ ...seen, longestMm: 14 })).toBeGreaterThan(0.25);
    for (const odd of [
      { shortestMm: 6, longestMm: 6 },
      { shortestMm: 0.1, longestMm: 200 },
    ]) {
      expect(Number.isFinite(lengthSpreadCv({ ...seen, ...odd }))).toBe(true);
    }
  });
  it('make long stragglers a case for trimming', () => {
    expect(tooLongShare({ ...seen, lengthMm: 10, longestMm: 11 }, 12)).toBeLessThan(0.05);
    expect(tooLongShare({ ...seen, lengthMm: 10, longestMm: 25 }, 12)).toBeGreaterThan(0.3);
  });
});

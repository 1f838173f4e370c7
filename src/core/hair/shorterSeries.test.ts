import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import { readyWindow, regrowthCurve, regrowthModel } from './regrowth';
import { visitEvery } from './shorterSeries';

describe('visitEvery', () => {
  const model = regrowthModel(ZONES.underarm.growth, 'regular');
  const range = { shortestMm: 4, longestMm: 12 };
  const crossed = { shortestMm: 3, longestMm: 12 };
  const idealDay = readyWindow(regrowthCurve(model, range))?.fromDay ?? 0;
  const of = (days: number, r = range) => visitEvery(model, days, { range: r, hairs: 400, idealDay });
  it('at the ideal interval holds at least seven hairs of ten, as the window says', () => {
    expect(of(idealDay).longEnough).toBeGreaterThanOrEqual(0.7);
  });
  it('the sooner, the less is long enough; the crossed lay holds more of it', () => {
    expect([14, 18, 21].map((d) => of(d).longEnough < of(idealDay).longEnough)).toEqual([true, true, true]);
    expect(of(14).longEnough).toBeLessThan(of(21).longEnough);
    expect(of(18, crossed).longEnough).toBeGreaterThan(of(18).longEnough);
  });
  it('leaves what is not held of the hair that shows, and no more hair than the zone has', () => {
    const { leftHairs, longEnough, tweezeMin } = of(21);
    const shows = (400 * model.shareAtLeast(0.5, 21)) / model.shareAtLeast(0.5, idealDay);
    expect(leftHairs).toBe(Math.round(shows * (1 - longEnough)));
    expect(shows).toBeLessThan(400);
    expect(tweezeMin).toBeGreaterThan(0);
    expect(of(0)).toMatchObject({ longEnough: 0, leftHairs: 0, tweezeMin: 0 });
  });
});

import { describe, expect, it } from 'vitest';
import { ZONES, type ZoneId } from '../anatomy';
import { readyWindow, regrowthCurve, regrowthModel, smoothUntilDay } from './regrowth';

const LONGEST = 13;
const window = (zone: ZoneId, shortest: number) => {
  const { growth, shortestFactor } = ZONES[zone];
  return readyWindow(
    regrowthCurve(regrowthModel(growth, 'regular'), { shortestMm: shortest * shortestFactor, longestMm: LONGEST }),
  );
};
const smooth = (zone: ZoneId) => smoothUntilDay(regrowthModel(ZONES[zone].growth, 'regular'));

describe('regrowth of a regular client', () => {
  // Days found by the prototype of the same model (from memory): [smooth, sugar from–to, hard from–to, soft from–to].
  const table: readonly [ZoneId, number, number, number, number, number, number, number][] = [
    ['brow', 13, 21, 70, 34, 70, 43, 70],
    ['upper-lip', 10, 16, 47, 23, 47, 29, 47],
    ['chin', 11, 17, 40, 25, 40, 31, 40],
    ['jaw-throat', 11, 18, 42, 26, 42, 32, 42],
    ['cheek-sideburn', 11, 17, 45, 24, 45, 29, 45],
    ['ear', 12, 19, 62, 29, 62, 37, 62],
    ['nape', 12, 19, 45, 28, 45, 35, 45],
    ['underarm', 14, 22, 51, 33, 51, 40, 51],
    ['forearm', 13, 23, 64, 37, 64, 48, 64],
    ['hand', 13, 23, 66, 38, 66, 48, 66],
    ['upper-back', 14, 23, 56, 34, 56, 44, 56],
    ['chest', 14, 22, 53, 33, 53, 42, 53],
    ['knee', 13, 22, 57, 34, 57, 44, 57],
    ['lower-leg-front', 13, 21, 55, 33, 55, 43, 55],
    ['foot', 12, 22, 63, 36, 63, 47, 63],
    ['bikini-edge', 14, 23, 54, 34, 54, 42, 54],
    ['buttock-crease', 14, 23, 56, 34, 56, 43, 56],
  ];
  it.each(table)('%s: smooth and ready days', (zone, smoothDays, s0, s1, h0, h1, f0, f1) => {
    const days = [
      smooth(zone),
      ...[1.6, 4, 6].flatMap((mm) => {
        const w = window(zone, mm);
        return [w?.fromDay ?? -1, w?.toDay ?? -1];
      }),
    ];
    const expected = [smoothDays, s0, s1, h0, h1, f0, f1];
    for (const [i, day] of days.entries()) expect(Math.abs(day - (expected[i] ?? -99))).toBeLessThanOrEqual(1);
  });
  it('matches common practice (no source): underarm 4–5 weeks for hard, sugar a week or more sooner, never at 10 days', () => {
    const hard = window('underarm', 4);
    const sugar = window('underarm', 1.6);
    expect(hard?.fromDay).toBeGreaterThanOrEqual(28);
    expect(hard?.fromDay).toBeLessThanOrEqual(35);
    expect((hard?.fromDay ?? 0) - (sugar?.fromDay ?? 0)).toBeGreaterThanOrEqual(7);
    for (const zone of ['underarm', 'lower-leg-front', 'upper-lip', 'chin'] as const) {
      expect(window(zone, 1.6)?.fromDay).toBeGreaterThan(10);
    }
    expect(smooth('lower-leg-front')).toBeGreaterThanOrEqual(12);
    expect(smooth('lower-leg-front')).toBeLessThanOrEqual(21);
  });
});

import { describe, expect, it } from 'vitest';
import { regionArea } from '../shared';
import { bodySurfaceMosteller, sheetFor } from './scale';
import { PAIRED_REGIONS, REGION_OF, REGION_PERCENT, REGIONS, regionCm2, shareOfRegion } from './regions';
import { ZONE_IDS } from './types';
import { INSIDE, ZONES } from './zones';

describe('regions of the body', () => {
  it('share out the whole surface: 100 % (Lund & Browder 1944)', () => {
    expect(REGIONS.reduce((s, r) => s + REGION_PERCENT[r] * (PAIRED_REGIONS.includes(r) ? 2 : 1), 0)).toBe(100);
  });
  it('are each larger than the zones in them; zones within other zones are not counted twice', () => {
    const inner = new Set(Object.keys(INSIDE));
    for (const region of REGIONS) {
      const used = ZONE_IDS.filter((z) => REGION_OF[z] === region && !inner.has(z)).reduce(
        (s, z) => s + shareOfRegion(ZONES[z]) * (ZONES[z].paired && !PAIRED_REGIONS.includes(region) ? 2 : 1),
        0,
      );
      expect(used, region).toBeLessThanOrEqual(1);
    }
  });
  it('give limbs nearly whole: what is waxed of forearm, upper arm and lower leg is most of it', () => {
    expect(shareOfRegion(ZONES.forearm)).toBeGreaterThan(0.75);
    expect(shareOfRegion(ZONES['upper-arm'])).toBeGreaterThan(0.8);
    expect(shareOfRegion(ZONES['lower-leg-front']) + shareOfRegion(ZONES['lower-leg-back'])).toBeGreaterThan(0.7);
  });
  it('keep their shares on every body', () => {
    for (const [statureCm, massKg] of [
      [150, 45],
      [170, 70],
      [195, 120],
    ] as const) {
      for (const id of ZONE_IDS) {
        const sheet = sheetFor(ZONES[id], ZONES[id].paired ? 'right' : 'middle', { statureCm, massKg });
        if (!sheet.ok) throw new Error(sheet.error.code);
        expect(
          regionArea([sheet.value.outline]) / regionCm2(REGION_OF[id], bodySurfaceMosteller(statureCm, massKg)),
        ).toBeCloseTo(shareOfRegion(ZONES[id]), 4);
      }
    }
  });
});

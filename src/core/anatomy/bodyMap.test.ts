import { describe, expect, it } from 'vitest';
import { isInside } from '../shared';
import { BODY_REGIONS, FIGURES, FIGURE_SIZE, placeIn, regionAt, shareOnSheet } from './bodyMap';
import { ZONE_IDS } from './types';
import { sidesOf, ZONES } from './zones';

describe('the body map', () => {
  it('has every zone on every side it has, but the extended bikini, which the edge and the front stand for', () => {
    const there = new Set(BODY_REGIONS.map((r) => `${r.zone}/${r.side}`));
    const missing = ZONE_IDS.flatMap((z) => sidesOf(ZONES[z]).map((s) => `${z}/${s}`)).filter((k) => !there.has(k));
    expect(missing).toEqual(['bikini-extended/left', 'bikini-extended/right']);
  });
  it('finds each region at its middle, within the drawing', () => {
    for (const r of BODY_REGIONS) {
      const at = placeIn(r);
      expect(isInside([r.outline], at)).toBe(true);
      expect(regionAt(r.figure, at)).toMatchObject({ zone: r.zone, side: r.side });
      for (const [x, y] of r.outline) {
        expect(x >= 0 && y >= 0 && x <= FIGURE_SIZE[r.figure][0] && y <= FIGURE_SIZE[r.figure][1]).toBe(true);
      }
    }
  });
  it('puts the client’s left on the viewer’s right from the front and on the viewer’s left from behind', () => {
    expect(regionAt('front', [69, 52])).toMatchObject({ zone: 'underarm', side: 'left' });
    expect(regionAt('front', [31, 52])).toMatchObject({ zone: 'underarm', side: 'right' });
    expect(regionAt('back', [60, 120])).toMatchObject({ zone: 'thigh-back', side: 'right' });
    expect(regionAt('back', [40, 120])).toMatchObject({ zone: 'thigh-back', side: 'left' });
  });
  it('finds nothing beside the body', () => {
    for (const figure of FIGURES) expect(regionAt(figure, [1, 1])).toBeUndefined();
  });
  it('takes a tap on the body between two zones for the nearer one, and one far from all for none', () => {
    expect(regionAt('face', [30, 70])).toMatchObject({ zone: 'cheek-sideburn', side: 'right' });
    expect(regionAt('front', [50, 41])).toMatchObject({ zone: 'chest' });
    expect(regionAt('face', [50, 15])).toBeUndefined();
  });
  it('carries a tap to about its place on the sheet: the outer side of a limb stays the outer side', () => {
    const at = (figure: 'front' | 'back', zone: string, side: string, outward: boolean): number => {
      const region = BODY_REGIONS.find((r) => r.figure === figure && r.zone === zone && r.side === side);
      if (!region) throw new Error(zone);
      const xs = region.outline.map((p) => p[0]);
      const outer = Math.abs(Math.max(...xs) - 50) > Math.abs(Math.min(...xs) - 50) ? Math.max(...xs) : Math.min(...xs);
      const inner = outer === Math.max(...xs) ? Math.min(...xs) : Math.max(...xs);
      return shareOnSheet(region, [outward ? outer : inner, region.outline[0]?.[1] ?? 0])[0];
    };
    for (const [figure, zone] of [
      ['front', 'thigh-front'],
      ['back', 'thigh-back'],
    ] as const) {
      expect(at(figure, zone, 'left', true)).toBe(1);
      expect(at(figure, zone, 'right', true)).toBe(0);
    }
  });
});

import { describe, expect, it } from 'vitest';
import { regionArea } from '../shared';
import { bodySurfaceDuBois, bodySurfaceMosteller, defaultGrowthAt, sheetFor } from './scale';
import { ZONE_IDS } from './types';
import { sidesOf, ZONES } from './zones';

const sheet = (...args: Parameters<typeof sheetFor>) => {
  const made = sheetFor(...args);
  if (!made.ok) throw new Error(made.error.code);
  return made.value;
};

describe('body surface', () => {
  it('gives the worked example 170 cm, 70 kg: 1.82 m² (Mosteller 1987), 1.81 m² (Du Bois 1916)', () => {
    expect(bodySurfaceMosteller(170, 70)).toBeCloseTo(1.82, 2);
    expect(bodySurfaceDuBois(170, 70)).toBeCloseTo(1.81, 2);
  });
});

describe('sheetFor', () => {
  it('scales by the root of the body surface and says on what it rests', () => {
    const zone = ZONES.underarm;
    expect(sheet(zone, 'left', {})).toMatchObject({ widthCm: 9, heightCm: 13, basis: 'reference-adult' });
    const big = sheet(zone, 'left', { statureCm: 190, massKg: 100 });
    expect(big.widthCm / 9).toBeCloseTo(Math.sqrt(bodySurfaceMosteller(190, 100) / 1.82), 10);
    expect(sheet(zone, 'left', {}, [10, 14])).toMatchObject({ widthCm: 10, heightCm: 14, basis: 'measured' });
    expect(sheetFor(zone, 'left', {}, [0, 14])).toMatchObject({ ok: false, error: { code: 'anatomy.sheet-size' } });
  });
  it.each(ZONE_IDS)('%s: the outline fills its sheet, and the right side mirrors the left', (id) => {
    const zone = ZONES[id];
    const [side, other] = sidesOf(zone);
    const left = sheet(zone, side ?? 'middle', {});
    const xs = left.outline.map((p) => p[0]);
    const ys = left.outline.map((p) => p[1]);
    // round the brow's surroundings some skin is left free
    const free = id === 'brow' ? 1 : 0;
    expect(Math.min(...xs)).toBeLessThanOrEqual(free + 1e-6);
    expect(Math.min(...xs, ...ys)).toBeGreaterThanOrEqual(-1e-6);
    expect(Math.max(...xs)).toBeLessThanOrEqual(left.widthCm + 1e-6);
    expect(Math.max(...xs)).toBeGreaterThanOrEqual(left.widthCm - free - 1e-6);
    expect(Math.max(...ys) - Math.min(...ys)).toBeLessThanOrEqual(left.heightCm + 1e-6);
    expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThanOrEqual(left.heightCm - 1.3 * free - 1e-6);
    if (!other) return;
    const right = sheet(zone, other, {});
    expect(regionArea([right.outline])).toBeCloseTo(regionArea([left.outline]), 4);
    const [dx, dy] = defaultGrowthAt(zone, 'left', left, [1, 2]);
    const [ex, ey] = defaultGrowthAt(zone, 'right', right, [right.widthCm - 1, 2]);
    expect(ex).toBeCloseTo(-dx, 9);
    expect(ey).toBeCloseTo(dy, 9);
  });
});

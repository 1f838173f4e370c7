import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES, type ZoneId } from '../anatomy';
import type { StripMark } from '../hands';
import { SHIPPED_PRODUCTS } from '../products';
import { dot, intersectRegions, regionArea, subtractRegions, uniteRings } from '../shared';
import { planVisit } from './planVisit';
import { secondRound, type SecondRoundInput } from './secondRound';

function round(
  id: ZoneId,
  productId: string,
  marked: readonly number[],
  more: Partial<SecondRoundInput> = {},
  other: StripMark = 'clean',
) {
  const side = ZONES[id].paired ? 'left' : 'middle';
  const made = planVisit({
    version: 1,
    on: '2027-05-14',
    client: { consent: true },
    zones: [
      {
        zone: id,
        side,
        hair: { lengthMm: 8, coarseness: 4, density: 3 },
        product: productId,
        way: productId.startsWith('sugar') ? 'moulded' : 'with',
      },
    ],
  });
  const sheet = sheetFor(ZONES[id], side, {});
  const product = SHIPPED_PRODUCTS.find((p) => p.id === productId);
  const zone = made.ok ? made.value.zones[0] : undefined;
  if (!sheet.ok || !product || !zone) throw new Error(id);
  const marks = new Map(
    zone.strips.map((s, i): [string, StripMark] => [s.id, marked.includes(i) ? 'some-left' : other]),
  );
  return {
    zone,
    round: secondRound({
      zone,
      sheet: sheet.value,
      strokes: [],
      exclusions: [],
      densities: [],
      density: 3,
      coarseness: 4,
      product,
      level: 'practised',
      roomC: 22,
      maxOnSkin: 3,
      walkS: 6,
      marks,
      leftKind: 'anywhere',
      crossedAllowed: true,
      ...more,
    }),
  };
}

describe('secondRound (common practice, no source)', () => {
  it('covers the ground that was marked and no other, in smaller strips with less wax, at the waxed skin’s own heat', () => {
    const { zone, round: r } = round('underarm', 'film-hard', [0, 2]);
    if (!r) throw new Error('there is a round');
    const marked = uniteRings([zone.strips[0], zone.strips[2]].flatMap((s) => (s ? [s.outline] : [])));
    const laid = uniteRings(r.strips.map((s) => s.outline));
    expect(regionArea(intersectRegions(laid, marked)) / regionArea(marked)).toBeGreaterThan(0.98);
    expect(regionArea(subtractRegions(laid, marked))).toBeLessThan(0.05);
    expect(Math.max(...r.strips.map((s) => s.lengthMm))).toBeLessThan(Math.max(...zone.strips.map((s) => s.lengthMm)));
    expect(r.thicknessMm).toBeLessThan(zone.heat?.thicknessMm ?? 0);
    expect(r.touchC).toBe(zone.heat?.laterPass?.target);
    expect(r.setS.max).toBeGreaterThan(r.setS.min);
    expect(r.strips.every((s) => s.tabOn !== 'hair')).toBe(true);
    expect(r.strips.some((s) => zone.strips.some((f) => f.id === s.id))).toBe(false);
    expect(r.endS).toBeGreaterThan(0);
  });
  it('lays as what stayed asks for: wrapped where short or flat, against where it stood another way, across on the chin', () => {
    expect(round('underarm', 'film-hard', [0], { leftKind: 'flat' }).round?.way).toBe('crossed');
    expect(round('underarm', 'film-hard', [0], { leftKind: 'flat', crossedAllowed: false }).round?.way).toBe('with');
    const counter = round('underarm', 'film-hard', [0], { leftKind: 'other-way' }).round;
    expect(counter?.way).toBe('counter');
    for (const s of counter?.strips ?? []) expect(dot(s.lay, s.pull)).toBeLessThan(-0.99);
    expect(round('chin', 'film-hard', [0], { leftKind: 'other-way' }).round?.way).toBe('across');
    expect(round('underarm', 'sugar-firm', [0], { leftKind: 'short' }).round?.way).toBe('moulded');
  });
  it('is never for soft wax, for what was sore or broke, or where nothing was marked', () => {
    expect(round('lower-leg-front', 'soft', [0, 1]).round).toBeNull();
    expect(round('underarm', 'film-hard', []).round).toBeNull();
    expect(round('underarm', 'film-hard', [], {}, 'sore').round).toBeNull();
    expect(round('underarm', 'film-hard', [], {}, 'broke').round).toBeNull();
  });
});

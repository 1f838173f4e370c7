import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import { mannerOf, SHIPPED_PRODUCTS, type Manner, type Product, type Way } from '../products';
import { heatNeedOf, heatOfOption, laterWindow } from './optionHeat';
import type { MatchInput } from './matchInput';

/** Only what the heat looks at. */
const usual = {
  ...{ zone: ZONES.underarm, sensitivity: 3, roomC: 22 },
  judgement: { lowerHeatK: 0 },
} as unknown as MatchInput;
function worked(id: string, way: Way = 'with'): readonly [Product, Manner, Way] {
  const product = SHIPPED_PRODUCTS.find((p) => p.id === id);
  const manner = product && mannerOf(product, way);
  if (!product || !manner) throw new Error(id);
  return [product, manner, way];
}
const need = (more: Partial<MatchInput>, state: 'fresh' | 'after-pass' = 'fresh') =>
  heatNeedOf({ ...usual, ...more }, ...worked('film-hard'), state);

describe('what the heat is asked for', () => {
  const lower = (lowerHeatK: number, feltShiftK: number): number | undefined =>
    need({ judgement: { lowerHeatK } as MatchInput['judgement'], feltShiftK }).lowerLimitK;
  it('lowers the limit by what the screening says and this client felt, never raised past the screening', () => {
    expect([lower(0, 0), lower(1, 0)]).toEqual([0, 1]);
    // felt too cool at the usual heat: warmer, but not where the screening asks for less
    expect([lower(0, 0.6), lower(1, 0.6)]).toEqual([-0.6, 1]);
    // felt too warm: cooler, on top of it
    expect([lower(0, -0.5), lower(1, -0.5)]).toEqual([0.5, 1.5]);
    expect(need({}).lowerLimitK).toBe(0);
  });
  it('takes a slab and a touch asked for by hand, for that product, on fresh skin, within its thickness', () => {
    const heat = { product: 'film-hard', thicknessMm: 1.8, touchC: 55 };
    expect(need({ heat })).toMatchObject({ thicknessMm: 1.8, touchC: 55, state: 'fresh', mannerName: 'tab' });
    const untouched = [need({ heat: { ...heat, product: 'soft' } }), need({ heat }, 'after-pass'), need({})];
    expect(untouched.map((n) => [n.thicknessMm, n.touchC])).toEqual(untouched.map(() => [undefined, undefined]));
    const thick = need({ heat: { ...heat, thicknessMm: 9 } });
    expect([thick.thicknessMm, thick.touchC]).toEqual([undefined, 55]);
    expect(need({ heat: { product: 'film-hard', touchC: 55 } }).thicknessMm).toBeUndefined();
  });
  it('goes by the pot that several zones share, unless a touch was asked for by hand', () => {
    const potTouchC = { product: 'film-hard', touchC: 56 };
    expect(need({ potTouchC }).touchC).toBe(56);
    expect(need({ potTouchC, heat: { product: 'film-hard', touchC: 54 } }).touchC).toBe(54);
    expect(need({ potTouchC, heat: { product: 'film-hard', thicknessMm: 1.8 } }).touchC).toBe(56);
    expect(need({ potTouchC: { ...potTouchC, product: 'cream-hard' } }).touchC).toBeUndefined();
    expect(need({ potTouchC }, 'after-pass').touchC).toBeUndefined();
  });
});

describe('the heat of an option', () => {
  it('of one coat is pulled from whole seconds on to whole seconds, of two with the rest between them', () => {
    const one = heatOfOption(usual, ...worked('film-hard'), 1);
    expect([one.setS.min, one.setS.max].map((s) => s % 1)).toEqual([0, 0]);
    // a generous slab takes about half a minute (common practice, no source)
    expect(one.setS.min).toBeGreaterThan(15);
    expect(one.setS.min).toBeLessThan(40);
    expect(one.rest).toBeNull();
    const two = heatOfOption(usual, ...worked('film-hard'), 2);
    // at most 20 s between the coats (engines, from memory), and the second sets sooner on the first
    expect(two.rest?.mostS).toBeGreaterThan(0);
    expect(two.rest?.mostS).toBeLessThanOrEqual(20);
    expect(two.setS.min).toBeLessThan(one.setS.min);
    expect(two.window).toEqual(one.window);
  });
  it('of what does not set is the wait of its manner', () => {
    const [soft, manner, way] = worked('soft');
    expect(heatOfOption(usual, soft, manner, way, 1).setS).toEqual(manner.waitS);
  });
  it('is solved once for what is alike', () => {
    const keys: string[] = [];
    const windows: NonNullable<MatchInput['windows']> = (key, make) => {
      keys.push(key);
      return make();
    };
    heatOfOption({ ...usual, windows }, ...worked('film-hard'), 1);
    heatOfOption({ ...usual, windows }, ...worked('film-hard'), 2);
    heatOfOption({ ...usual, windows, sensitivity: 5 }, ...worked('film-hard'), 1);
    expect(keys).toHaveLength(3);
    expect(new Set(keys).size).toBe(2);
  });
  it('is lower for tender skin, and for skin that was just waxed', () => {
    const fresh = heatOfOption(usual, ...worked('film-hard'), 1).window;
    const tender = heatOfOption({ ...usual, sensitivity: 5 }, ...worked('film-hard'), 1).window;
    expect(tender.maxC).toBeLessThan(fresh.maxC);
    const again = laterWindow(usual, ...worked('film-hard'));
    expect(again.thicknessMm).toBe(1.5);
    const sameSlab = heatOfOption(
      { ...usual, heat: { product: 'film-hard', thicknessMm: 1.5 } },
      ...worked('film-hard'),
      1,
    ).window;
    expect(again.limitC).toBeLessThanOrEqual(sameSlab.limitC);
    expect(again.maxC).toBeLessThan(sameSlab.maxC);
  });
});

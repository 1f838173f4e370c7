// Figures by hand, from memory as the engine's own are: what each thing that is known of hair, room and lay takes off
// the hold of long hair, and adds to what breaks.

import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import { lengthStrata, type Hair } from '../hair';
import { SHIPPED_PRODUCTS, type Product } from '../products';
import { passFigures, plannedPasses, type PassInput } from './passes';
import { brokenShare, heldAtPull, leftShare, skinLoad, type BreakageInput, type RemovalInput } from './removal';

const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const hair: Hair = { lengthMm: 8, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] };
const usual = (id: string, more: Partial<RemovalInput> = {}): RemovalInput => ({
  ...{ product: product(id), way: 'with', coats: 1, hair, shortestMm: 4, meanAngleErrorDeg: 0, roomC: 22.5 },
  ...more,
});
/** What a pull holds of hair so long that its length takes nothing off. */
const held = (id: string, more: Partial<RemovalInput> = {}): number => heldAtPull(usual(id, more))(1000);
const loss = (id: string, more: Partial<RemovalInput>): number => held(id) - held(id, more);
const of = (more: Partial<Hair>): Partial<RemovalInput> => ({ hair: { ...hair, ...more } });

describe('the hold of long hair', () => {
  it('is eight tenths and a fifth of the grip', () => {
    for (const id of ['cream-hard', 'film-hard', 'soft']) {
      expect([id, held(id)]).toEqual([id, expect.closeTo(Math.min(0.995, 0.8 + 0.2 * product(id).grip), 9)]);
    }
  });
  it('loses on coarse hair: film in one coat most, sugar and soft less, cream and film in two coats hardly', () => {
    const coarse = of({ coarseness: 5 });
    expect(loss('film-hard', coarse)).toBeCloseTo(0.24, 9);
    expect(loss('film-hard', { ...coarse, coats: 2 })).toBeCloseTo(0.02, 9);
    expect(loss('cream-hard', coarse)).toBeCloseTo(0.01, 9);
    expect(loss('soft', coarse)).toBeCloseTo(0.16, 9);
    expect(loss('sugar-firm', coarse)).toBeCloseTo(0.2, 9);
    expect(loss('cream-hard', of({ coarseness: 1 }))).toBe(0);
  });
  it('of soft wax is better on fine hair, of nothing else', () => {
    // a grip that leaves room above
    const weak = { ...product('soft'), grip: 0.6 };
    const fine = (coarseness: 1 | 2 | 3) => held('soft', { product: weak, ...of({ coarseness }) });
    expect(fine(1) - fine(3)).toBeCloseTo(0.03, 9);
    expect(fine(2) - fine(3)).toBeCloseTo(0.015, 9);
    const other = { ...product('sugar-firm'), grip: 0.6 };
    expect(held('soft', { product: other, ...of({ coarseness: 1 }) })).toBe(held('soft', { product: other }));
  });
  it('loses where hair crosses the lay, curls or lies flat; the crossed lay wraps curls and flat hair, sugar flat hair', () => {
    expect(loss('cream-hard', { meanAngleErrorDeg: 45 })).toBeCloseTo(0.1, 9);
    const curly = of({ curl: 3 });
    expect(loss('cream-hard', curly)).toBeCloseTo(0.012, 9);
    expect(loss('cream-hard', { ...curly, way: 'crossed' })).toBe(0);
    const flat = of({ flags: ['flat'] });
    expect(loss('cream-hard', flat)).toBeCloseTo(0.06, 9);
    expect(loss('cream-hard', { ...flat, way: 'crossed' })).toBe(0);
    expect(loss('sugar-firm', flat)).toBe(0);
  });
  it('of paste by hand asks for a firmness by the room: soft at 15.5, firm at 22.5, hard from 29.5 °C', () => {
    const by = (id: string, roomC: number) => held(id, { way: 'moulded', roomC });
    const grip = (id: string) => 0.8 + 0.2 * product(id).grip;
    const rows = (['sugar-soft', 'sugar-firm', 'sugar-hard'] as const).map((id) =>
      [10, 15.5, 22.5, 29.5, 40].map((c) => grip(id) - by(id, c)),
    );
    const steps = [
      [0, 0, 1, 2, 2],
      [1, 1, 0, 1, 1],
      [2, 2, 1, 0, 0],
    ];
    expect(rows).toEqual(steps.map((row) => row.map((s) => expect.closeTo(0.04 * s, 9) as number)));
    // under cloth the room does not matter
    expect(held('sugar-soft', { way: 'strip', roomC: 40 })).toBeCloseTo(grip('sugar-soft'), 9);
  });
  it('shifts by what the studio’s strips say: as log odds, nothing for nothing', () => {
    const p = held('cream-hard');
    const shifted = held('cream-hard', { holdShift: Math.log(2) });
    expect((1 - shifted) / shifted).toBeCloseTo((2 * (1 - p)) / p, 9);
    expect(held('cream-hard', { holdShift: 0 })).toBe(p);
  });
  it('is half at three quarters of the shortest length, within a width that grows with it', () => {
    const at = heldAtPull(usual('cream-hard'));
    const p = held('cream-hard');
    expect(at(3)).toBeCloseTo(p / 2, 9);
    // 0.09 × 4 + 0.1 mm
    expect(at(3.46)).toBeCloseTo(p / (1 + Math.exp(-1)), 9);
  });
});

describe('what is left', () => {
  it('is the mean over the lengths; a later pass takes eight tenths of what a first would; a cloth most of soft wax’s', () => {
    const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
    const input = usual('cream-hard');
    const h = lengthStrata(hair).map(heldAtPull(input));
    expect(leftShare(input, 1)).toBeCloseTo(mean(h.map((x) => 1 - x)), 12);
    expect(leftShare(input, 2)).toBeCloseTo(mean(h.map((x) => (1 - x) * (1 - 0.8 * x))), 12);
    const soft = usual('soft');
    expect(leftShare(soft, 1)).toBeCloseTo(0.3 * mean(lengthStrata(hair).map((mm) => 1 - heldAtPull(soft)(mm))), 12);
  });
});

describe('what breaks', () => {
  const breaks = (id: string, more: Partial<BreakageInput> = {}): number =>
    brokenShare({ ...{ product: product(id), way: 'with', hair, skin: 'normal', aboveCoolK: 3 }, ...more });
  it('is least with sugar, most with soft wax; more against the growth, across, under cloth', () => {
    expect(['sugar-firm', 'cream-hard', 'soft'].map((id) => breaks(id))).toEqual([0.015, 0.022, 0.035]);
    const added = (way: BreakageInput['way']) => breaks('cream-hard', { way }) - breaks('cream-hard');
    expect(['against', 'counter', 'across', 'strip', 'free'].map((w) => added(w as BreakageInput['way']))).toEqual(
      [0.02, 0.02, 0.015, 0.01, 0].map((x) => expect.closeTo(x, 9) as number),
    );
  });
  it('is more of fine, curled, shaved and dry, and of cool wax; sugar is not worked warm', () => {
    const more = (b: Partial<BreakageInput>, id = 'cream-hard') => breaks(id, b) - breaks(id);
    expect(more({ hair: { ...hair, coarseness: 1 } })).toBeCloseTo(0.016, 9);
    expect(more({ hair: { ...hair, coarseness: 5 } })).toBe(0);
    expect(more({ hair: { ...hair, curl: 3 } })).toBeCloseTo(0.008, 9);
    expect(more({ hair: { ...hair, history: 'shaved' } })).toBeCloseTo(0.015, 9);
    expect(more({ skin: 'dry' })).toBeCloseTo(0.012, 9);
    expect(more({ skin: 'oily' })).toBe(0);
    expect(more({ aboveCoolK: 0.99 })).toBeCloseTo(0.01, 9);
    expect(more({ aboveCoolK: 1 })).toBe(0);
    expect(more({ aboveCoolK: 0 }, 'sugar-firm')).toBe(0);
  });
});

describe('the load on the skin', () => {
  it('grows with ground, with sensitivity, and by the pressing stroke of a crossed lay once', () => {
    const zone = ZONES.underarm;
    const exponent = (way: 'with' | 'crossed', ground: number, sensitivity: number): number =>
      -Math.log(1 - skinLoad({ adhesion: 0.5, ground, way }, zone, sensitivity)) / (0.65 * 0.5 * zone.pullWeight);
    expect(exponent('with', 1, 1)).toBeCloseTo(0.5, 9);
    expect(exponent('with', 1, 3)).toBeCloseTo(1, 9);
    expect(exponent('with', 2, 5)).toBeCloseTo(3, 9);
    expect(exponent('crossed', 2, 3)).toBeCloseTo(2.3, 9);
  });
});

describe('passes', () => {
  const input: PassInput = {
    ...{ leftAfter: (n: number) => 0.1 ** n, hairs: 1000, strips: 10, limit: 3, least: 1, mostTweezed: 30 },
    rest: 'clean-up',
  };
  it('cover the ground where hair is left: about six hairs a piece, a quarter of a minute to begin each', () => {
    const two = passFigures(input, 2);
    expect(two.ground).toBeCloseTo(2 - Math.exp(-100 / 60), 9);
    expect(two).toMatchObject({ passes: 2, leftHairs: 10, tweezed: 10, staysShare: 0, startS: 15 });
    expect(passFigures(input, 3).ground).toBeCloseTo(two.ground + 1 - Math.exp(-10 / 60), 9);
    const one = passFigures(input, 1);
    expect(one).toMatchObject({ passes: 1, leftHairs: 100, tweezed: 30, ground: 1, startS: 0 });
    expect(one.staysShare).toBeCloseTo(0.07, 9);
    expect(passFigures({ ...input, hairs: 0 }, 2).staysShare).toBe(0);
    expect(passFigures({ ...input, strips: 0 }, 2).ground).toBeCloseTo(2 - Math.exp(-100 / 6), 9);
  });
  it('are added while too much would stay, or while it is cheaper so; never beyond the limit or below the least', () => {
    const dearer = (f: { readonly passes: number }) => f.passes;
    const cheaper = (f: { readonly passes: number }) => -f.passes;
    const same = () => 1;
    expect(plannedPasses(input, dearer).passes).toBe(2);
    expect(plannedPasses({ ...input, rest: 'stay' }, dearer).passes).toBe(1);
    expect(plannedPasses({ ...input, rest: 'stay' }, cheaper).passes).toBe(3);
    expect(plannedPasses({ ...input, rest: 'stay' }, same).passes).toBe(1);
    expect(plannedPasses({ ...input, limit: 1 }, cheaper).passes).toBe(1);
    expect(plannedPasses({ ...input, least: 2, rest: 'stay' }, dearer).passes).toBe(2);
    expect(plannedPasses({ ...input, least: 2, limit: 1 }, dearer).passes).toBe(1);
    // five in a thousand may stay: not a hair more is worth another pass, not a hair less
    const stays = (hairsLeft: number): PassInput => ({ ...input, leftAfter: (n) => (n === 1 ? hairsLeft / 1000 : 0) });
    expect(plannedPasses(stays(35), dearer).passes).toBe(1);
    expect(plannedPasses(stays(36), dearer).passes).toBe(2);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import { SHIPPED_PRODUCTS, type Product } from '../products';
import { feltLimitC, hottestTouch, workingWindow } from './window';
import { skinInState, solveSkinHeat } from './skinHeat';
import { potForTouch, touchFromPot } from './stick';

const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const film = product('film-hard');
const felt = (
  touchC: number,
  thicknessMm: number,
  zone: keyof typeof ZONES = 'underarm',
  state: 'fresh' | 'after-pass' = 'fresh',
) =>
  solveSkinHeat({
    product: film,
    touchC,
    thicknessMm,
    skin: skinInState(ZONES[zone].skin, state),
    roomC: 22,
    endS: 180,
  });

describe('solveSkinHeat', () => {
  it('sets a generous slab in about 30 s (common practice, no source): 2 mm at 56–60 °C on a trunk', () => {
    expect(felt(56, 2, 'lower-back').setAfterS).toBeGreaterThan(22);
    expect(felt(60, 2, 'lower-back').setAfterS).toBeLessThan(42);
    expect(felt(58, 2, 'lower-back').feltPeakC).toBeGreaterThan(42);
    expect(felt(58, 2, 'lower-back').feltPeakC).toBeLessThan(44);
  });
  it('reproduces the reference behaviour from memory: underarm 54 °C → 42.6 °C felt, set 23 s, latest 117 s; shin 58 °C → 42.0, 28–102 s', () => {
    const underarm = felt(54, 2);
    expect(underarm.feltPeakC).toBeCloseTo(42.6, 0);
    expect(Math.abs((underarm.setAfterS ?? 0) - 23)).toBeLessThan(4);
    expect(Math.abs(underarm.latestPullS - 117)).toBeLessThan(12);
    const shin = felt(58, 2, 'lower-leg-front');
    expect(Math.abs(shin.feltPeakC - 42)).toBeLessThan(0.5);
    expect(Math.abs((shin.setAfterS ?? 0) - 28)).toBeLessThan(4);
  });
  it('feels hotter on back and underarm than on the leg, and on waxed skin than on fresh (common practice, no source)', () => {
    const weighted = (zone: keyof typeof ZONES): number => felt(56, 2, zone).feltPeakC + ZONES[zone].skin.tendernessK;
    expect(weighted('underarm')).toBeGreaterThan(weighted('lower-leg-front') + 0.5);
    expect(weighted('lower-back')).toBeGreaterThan(weighted('lower-leg-front') + 0.5);
    expect(felt(56, 2, 'underarm', 'after-pass').feltPeakC).toBeGreaterThan(felt(56, 2).feltPeakC + 0.8);
  });
  it('does not depend on the time step above 0.1 K', () => {
    for (const thicknessMm of [0.4, 2, 3.5]) {
      const input = { product: film, touchC: 60, thicknessMm, skin: ZONES.underarm.skin, roomC: 22 };
      expect(Math.abs(solveSkinHeat(input).feltPeakC - solveSkinHeat({ ...input, refine: 8 }).feltPeakC)).toBeLessThan(
        0.1,
      );
    }
  });
  it('never feels cooler when warmer, nor sets sooner when thicker', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 48, max: 66, noNaN: true }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        fc.double({ min: 1.5, max: 3, noNaN: true }),
        (touchC, warmerK, thicknessMm) => {
          expect(felt(touchC + warmerK, thicknessMm).feltPeakC).toBeGreaterThanOrEqual(
            felt(touchC, thicknessMm).feltPeakC - 1e-6,
          );
          expect(felt(touchC, thicknessMm + 0.3).setAfterS ?? 999).toBeGreaterThanOrEqual(
            (felt(touchC, thicknessMm).setAfterS ?? 999) - 1e-6,
          );
        },
      ),
      { seed: 11, numRuns: 25 },
    );
  });
});

describe('workingWindow', () => {
  const window = (zone: keyof typeof ZONES, sensitivity: number) => {
    const manner = film.manners.tab;
    if (!manner) throw new Error('film wax has a tab');
    return workingWindow({ product: film, manner, mannerName: 'tab', skin: ZONES[zone].skin, sensitivity, roomC: 22 });
  };
  // Upper ends at sensitivity 1, 3, 5 as the prototype found them (from memory).
  it.each<[keyof typeof ZONES, number, number, number]>([
    ['lower-leg-front', 62, 62, 61],
    ['chest', 62, 60, 57],
    ['upper-lip', 61, 58, 55],
    ['underarm', 59, 56.5, 54],
    ['bikini-edge', 60, 57, 54.5],
  ])('%s: upper end near %d / %d / %d °C', (zone, calm, usual, reactive) => {
    [calm, usual, reactive].forEach((end, i) =>
      expect(Math.abs(window(zone, 1 + 2 * i).maxC - end)).toBeLessThanOrEqual(1.1),
    );
  });
  it('is bounded by flow below and by feel above on an underarm, and its target keeps both limits', () => {
    const w = window('underarm', 3);
    expect(w).toMatchObject({ lowBound: 'flow', highBound: 'feel', empty: false });
    expect(w.targetC).toBeCloseTo(w.minC + 0.4 * (w.maxC - w.minC), 6);
    const atMost = solveSkinHeat({
      product: film,
      touchC: w.maxC,
      thicknessMm: w.thicknessMm + 0.5,
      skin: ZONES.underarm.skin,
      roomC: 22,
    });
    expect(atMost.feltPeakC).toBeLessThanOrEqual(feltLimitC(ZONES.underarm.skin, 3) + 0.01);
    expect(atMost.burnOmega).toBeLessThanOrEqual(0.01);
  });
  it('never gives a more sensitive client a warmer target', () => {
    for (const zone of ['underarm', 'lower-leg-front', 'upper-lip'] as const) {
      const targets = [1, 2, 3, 4, 5].map((s) => window(zone, s).targetC);
      targets.slice(1).forEach((t, i) => expect(t).toBeLessThanOrEqual((targets[i] ?? Infinity) + 1e-9));
    }
  });
  it('lets the burn integral bound the window where the felt limit would not', () => {
    const manner = film.manners.tab;
    if (!manner) throw new Error('film wax has a tab');
    const hottest = hottestTouch(
      {
        product: film,
        manner,
        mannerName: 'tab',
        skin: { ...ZONES['lower-leg-front'].skin, tendernessK: -6 },
        sensitivity: 1,
        roomC: 22,
      },
      2,
    );
    expect(
      solveSkinHeat({
        product: film,
        touchC: hottest,
        thicknessMm: 2,
        skin: ZONES['lower-leg-front'].skin,
        roomC: 22,
        endS: 90,
      }).burnOmega,
    ).toBeLessThanOrEqual(0.01);
  });
});

describe('the stick', () => {
  it('takes about 2–3 K on the way and inverts exactly', () => {
    const pot = potForTouch(54, 'tab', { product: film, roomC: 22 });
    expect(pot - 54).toBeGreaterThan(2);
    expect(pot - 54).toBeLessThan(3);
    expect(touchFromPot(pot, { product: film, roomC: 22 })).toBeCloseTo(54, 9);
    expect(touchFromPot(60, { product: film, roomC: 22, heldS: 20 })).toBeLessThan(
      touchFromPot(60, { product: film, roomC: 22 }),
    );
  });

  it('sees set and latest pull within 0.3 s of a solution in steps 24 times finer, and never late', () => {
    const off: { readonly set: number; readonly latest: number }[] = [];
    for (const zone of [ZONES['lower-leg-front'], ZONES.underarm, ZONES['upper-lip']]) {
      for (const product of SHIPPED_PRODUCTS.filter((p) => p.setting)) {
        for (const [thicknessMm, touchC, roomC] of [
          [1, 54, 22],
          [1.5, 64, 16],
          [2, 60, 28],
          [2.5, 56, 22],
          [3, 54, 28],
        ] as const) {
          const input = { product, touchC, thicknessMm, skin: zone.skin, roomC, endS: 180 };
          const [usual, fine] = [solveSkinHeat(input), solveSkinHeat({ ...input, refine: 24 })];
          off.push({
            set: (usual.setAfterS ?? NaN) - (fine.setAfterS ?? NaN),
            latest: usual.latestPullS - fine.latestPullS,
          });
        }
      }
    }
    expect(off).toHaveLength(30);
    expect(off.filter((o) => !(o.set > -0.3 && o.set < 0.03 && o.latest > -0.3 && o.latest < 0.03))).toEqual([]);
  });
});

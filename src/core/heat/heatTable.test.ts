import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ZONES, type ZoneId } from '../anatomy';
import { mannerName, SHIPPED_PRODUCTS, waysOf, type Product } from '../products';
import { BURN_LIMIT } from './burn';
import { heatTable, readHeat, thicknessNodes } from './heatTable';
import { windowOpeners } from './openers';
import { skinInState, solveSkinHeat } from './skinHeat';
import { touchFromPot, holdUntil } from './stick';
import { workingWindow, type HeatNeed } from './window';

const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const needOf = (id: string, zone: ZoneId, sensitivity: number, more: Partial<HeatNeed> = {}): HeatNeed => {
  const p = product(id);
  const name = mannerName(p.family, waysOf(p)[0] ?? 'with');
  const manner = p.manners[name];
  if (!manner) throw new Error(name);
  return { product: p, manner, mannerName: name, skin: ZONES[zone].skin, sensitivity, roomC: 22, ...more };
};

describe('heatTable, read by a slider', () => {
  const need = needOf('film-hard', 'underarm', 3);
  const table = heatTable(need);

  it('gives on every step of the slider the window that the engine gives', () => {
    for (const mm of thicknessNodes(need.manner)) {
      const [read, exact] = [readHeat(table, mm).window, workingWindow({ ...need, thicknessMm: mm })];
      expect(read.maxC).toBeCloseTo(exact.maxC, 6);
      expect(read.targetC).toBeCloseTo(exact.targetC, 6);
      expect(read.highBound).toBe(exact.highBound);
    }
  });
  it('is within 0.1 K and 1 s of the solver anywhere in it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 64, noNaN: true }),
        fc.double({ min: 1.5, max: 3, noNaN: true }),
        (touchC, thicknessMm) => {
          const read = readHeat(table, thicknessMm, touchC);
          const exact = solveSkinHeat({
            product: need.product,
            touchC,
            thicknessMm,
            skin: need.skin,
            roomC: 22,
            endS: 180,
            withCurve: true,
          });
          expect(Math.abs(read.feltPeakC - exact.feltPeakC)).toBeLessThan(0.1);
          expect(Math.abs(read.setAfterS - (exact.setAfterS ?? 180))).toBeLessThan(1);
          const at10 = exact.curve.find((p) => p.timeS >= 10);
          const nearest = read.curve.reduce((a, b) =>
            Math.abs(b.timeS - (at10?.timeS ?? 0)) < Math.abs(a.timeS - (at10?.timeS ?? 0)) ? b : a,
          );
          expect(Math.abs(nearest.nerveC - (at10?.nerveC ?? 0))).toBeLessThan(0.4);
        },
      ),
      { seed: 5, numRuns: 30 },
    );
  });
  it('never reads cooler when warmer, nor a hotter limit or a sooner set when thicker', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 63, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.double({ min: 1.5, max: 2.9, noNaN: true }),
        (touchC, more, mm) => {
          const here = readHeat(table, mm, touchC);
          expect(readHeat(table, mm, touchC + more).feltPeakC).toBeGreaterThanOrEqual(here.feltPeakC - 1e-9);
          const thicker = readHeat(table, Math.min(3, mm + more), touchC);
          expect(thicker.window.feelMaxC).toBeLessThanOrEqual(here.window.feelMaxC + 1e-6);
          expect(thicker.setAfterS).toBeGreaterThanOrEqual(here.setAfterS - 1e-6);
        },
      ),
      { seed: 6, numRuns: 60 },
    );
  });
  it('has a curve that begins at the resting skin, rises to the peak and falls', () => {
    const { curve, feltPeakC } = readHeat(table, 2, 56);
    const highest = Math.max(...curve.map((p) => p.nerveC));
    expect(curve[0]?.nerveC).toBeLessThan(feltPeakC - 2);
    expect(Math.abs(highest - feltPeakC)).toBeLessThan(0.15);
    expect(curve.at(-1)?.nerveC).toBeLessThan(feltPeakC - 1);
  });
  it('stands for films and pastes too, with the label’s waits', () => {
    const soft = heatTable(needOf('soft', 'lower-leg-front', 3));
    expect(soft.thicknessMm).toEqual([0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6]);
    expect(readHeat(soft, 0.4)).toMatchObject({ setAfterS: 0, latestPullS: 10 });
  });
});

describe('the limits of heat', () => {
  it('deciding early finds the same peak and the same side of the burn limit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('film-hard', 'cream-hard', 'soft'),
        fc.constantFrom<ZoneId>('underarm', 'lower-leg-front', 'upper-lip'),
        fc.double({ min: 45, max: 95, noNaN: true }),
        fc.double({ min: 1.5, max: 3.5, noNaN: true }),
        (id, zone, touchC, thicknessMm) => {
          const input = {
            product: product(id),
            touchC,
            thicknessMm,
            skin: skinInState(ZONES[zone].skin, 'fresh'),
            roomC: 22,
            endS: 90,
          };
          const [whole, early] = [solveSkinHeat(input), solveSkinHeat({ ...input, decideBurn: BURN_LIMIT })];
          expect(early.feltPeakC).toBe(whole.feltPeakC);
          expect(early.burnOmega > BURN_LIMIT).toBe(whole.burnOmega > BURN_LIMIT);
        },
      ),
      { seed: 9, numRuns: 80 },
    );
  });
  it('a more sensitive client never gets a warmer target, whatever product, zone and room', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_PRODUCTS.map((p) => p.id)),
        fc.constantFrom<ZoneId>('underarm', 'lower-leg-front', 'upper-lip', 'bikini-edge', 'upper-back'),
        fc.double({ min: 1, max: 4, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: 16, max: 30, noNaN: true }),
        (id, zone, sensitivity, more, roomC) => {
          const at = (s: number) => workingWindow(needOf(id, zone, s, { roomC }));
          const [calm, tender] = [at(sensitivity), at(sensitivity + more)];
          expect(tender.targetC).toBeLessThanOrEqual(calm.targetC + 0.01);
          expect(tender.limitC).toBeLessThan(calm.limitC);
        },
      ),
      { seed: 15, numRuns: 200 },
    );
  });
});

describe('windowOpeners', () => {
  // a skin that bears little: thick film wax on a very reactive underarm with a lowered limit
  const tight = needOf('film-hard', 'underarm', 5, { lowerLimitK: 1, thicknessMm: 3 });

  it('says nothing where the window is open, or where no hand helps', () => {
    expect(windowOpeners(needOf('film-hard', 'underarm', 3))).toEqual([]);
    const neverFlows = needOf('film-hard', 'underarm', 3, {
      manner: { ...needOf('film-hard', 'underarm', 3).manner, labelC: { min: 40, max: 48 } },
    });
    expect(workingWindow(neverFlows).empty).toBe(true);
    expect(windowOpeners(neverFlows)).toEqual([]);
  });
  it('names the thickest slab within the label that has a window again', () => {
    expect(workingWindow(tight).empty).toBe(true);
    const thinner = windowOpeners(tight).find((o) => o.kind === 'thinner');
    const mm = Number(/Laid ([\d.]+) mm/.exec(thinner?.text ?? '')?.[1]);
    expect(workingWindow({ ...tight, thicknessMm: mm }).empty).toBe(false);
    expect(workingWindow({ ...tight, thicknessMm: Math.round(10 * mm + 1) / 10 }).empty).toBe(true);
  });
  it('tells how long to hold a load in the air so that it touches no hotter than the skin bears', () => {
    const need = needOf('cream-hard', 'underarm', 5, { lowerLimitK: 1 });
    const window = workingWindow(need);
    expect(window.empty).toBe(true);
    const hold = windowOpeners(need, window).find((o) => o.kind === 'hold');
    expect(hold?.text).toMatch(/Held on the stick about \d+ s it touches at/);
  });
  it('holds and touches are each other’s reverse', () => {
    const stick = { product: product('film-hard'), roomC: 22 };
    const heldS = holdUntil(60, 55, stick) ?? NaN;
    expect(touchFromPot(60, { ...stick, heldS })).toBeCloseTo(55, 9);
    expect(holdUntil(60, 59.9, stick)).toBeNull();
    expect(holdUntil(60, 20, stick)).toBeNull();
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS, type Product } from '../products';
import { evenPot, potStep, temps, toppedUp, USUAL_POT } from './pot';
import { holdingSetC, isReady, readyAfterS, refilled, switchDown, type HeatingInput, type PotWindow } from './ready';

const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const film = product('film-hard');
const soft = product('soft');
const window: PotWindow = { minC: 54, targetC: 57, maxC: 60 };

describe('time to ready', () => {
  const input = { product: film, pot: USUAL_POT, roomC: 22, window };
  const s = (more: Partial<HeatingInput>): number => switchDown({ ...input, ...more })?.readyS ?? Infinity;
  it('from cold is some tens of minutes for a full pot (common practice, no source)', () => {
    expect(s({})).toBeGreaterThan(8 * 60);
    expect(s({})).toBeLessThan(60 * 60);
  });
  it('is less for beads than tablets, can or block of the same wax (common practice, no source)', () => {
    const of = (form: Product['form']): number => s({ product: { ...film, form } });
    expect(of('beads')).toBeLessThan(of('tablet'));
    expect(of('tablet')).toBeLessThan(of('can'));
    expect(of('can')).toBeLessThan(of('block'));
  });
  it('is less with more power and a lid, a warmer room; more wax takes longer, stirring on the way never does', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 150, noNaN: true }),
        fc.double({ min: 200, max: 500, noNaN: true }),
        (heaterW, waxG) => {
          const pot = { ...USUAL_POT, heaterW, waxG };
          const here = s({ pot });
          // the moment of switching is looked for minute by minute
          expect(s({ pot: { ...pot, heaterW: heaterW + 40 } })).toBeLessThanOrEqual(here + 30);
          expect(s({ pot: { ...pot, waxG: waxG + 250 } })).toBeGreaterThanOrEqual(here - 30);
          expect(s({ pot: { ...pot, lid: false } })).toBeGreaterThanOrEqual(here - 30);
          expect(s({ pot, roomC: 28 })).toBeLessThanOrEqual(here + 30);
          expect(s({ pot, stirred: true })).toBeLessThanOrEqual(here + 30);
        },
      ),
      { seed: 2, numRuns: 3 },
    );
  });
  it('is nothing where the pot is ready, more after topping up, and never where the heater is too weak', () => {
    const ready = evenPot(film, 400, 57.5);
    expect(isReady(film, ready, window)).toBe(true);
    expect(readyAfterS({ ...input, state: ready })).toBe(0);
    expect(readyAfterS({ ...input, state: toppedUp(film, evenPot(film, 300, 57), 100, 22) })).toBeGreaterThan(0);
    expect(readyAfterS({ ...input, pot: { ...USUAL_POT, heaterW: 6 } })).toBeNull();
  });
  it('comes back after topping up, sooner than from cold, cooler meanwhile', () => {
    const more = refilled(input);
    expect(more.addG).toBe(100);
    expect(more.fallsK).toBeGreaterThan(4);
    expect(more.readyS).toBeGreaterThan(0);
    expect(more.readyS ?? Infinity).toBeLessThan(s({}) / 2);
  });
  it('is never longer with full heat first and a switch down in time', () => {
    for (const p of [film, soft, product('cream-hard')]) {
      const plan = switchDown({ ...input, product: p });
      const steady = readyAfterS({ ...input, product: p });
      expect(plan?.readyS).toBeLessThanOrEqual(steady ?? Infinity);
      expect(plan?.switchDownS).toBeLessThanOrEqual(plan?.readyS ?? 0);
    }
    expect(switchDown({ ...input, product: { ...film, form: 'block' } })?.switchDownS).toBeGreaterThan(0);
  });
  it('holds the target with the thermostat above it, further above it without a lid', () => {
    const lid = holdingSetC(input);
    const open = holdingSetC({ ...input, pot: { ...USUAL_POT, lid: false } });
    expect(lid).toBeGreaterThan(window.targetC);
    expect(open).toBeGreaterThan(lid);
    let state = evenPot(film, 400, window.targetC);
    for (let t = 0; t < 3 * 3600; t += 60) ({ state } = potStep(film, USUAL_POT, state, lid, 22, 60));
    expect(temps(film, state).mixedC).toBeCloseTo(window.targetC, 0);
  });
  it('keeps the rim within 4 K over the window, the thermostat’s play of 1 K included, at any power', () => {
    const rims = [film, soft].flatMap((p) =>
      [60, 100, 200, 400].map((heaterW) => {
        const plan = switchDown({ ...input, product: p, pot: { ...USUAL_POT, heaterW } });
        return (plan?.hottestRimC ?? Infinity) + 1 - window.maxC;
      }),
    );
    expect(Math.max(...rims)).toBeLessThanOrEqual(4 + 1e-6);
  });
  it('gets an open pot and a narrow window there too', () => {
    const narrow = { minC: 56.7, targetC: 57, maxC: 57.2 };
    const open = { ...USUAL_POT, lid: false };
    for (const p of [film, product('cream-hard')]) {
      expect(switchDown({ ...input, product: p, pot: open })).not.toBeNull();
      expect(switchDown({ ...input, product: p, window: narrow })).not.toBeNull();
    }
  });
  it('never jumps by more than a fifth from one degree of the target to the next', () => {
    const jumps = [film, product('cream-hard'), soft].flatMap((p) => {
      const from = p.id === 'soft' ? 42 : 52;
      const times = Array.from({ length: 9 }, (_, k) => {
        const at = { minC: from + k - 2, targetC: from + k, maxC: from + k + 2 };
        return switchDown({ ...input, product: p, window: at })?.readyS ?? Infinity;
      });
      return times.slice(1).map((t, k) => t / (times[k] ?? Infinity));
    });
    expect(jumps).toHaveLength(24);
    expect(Math.max(...jumps)).toBeLessThanOrEqual(1.2);
    expect(Math.min(...jumps)).toBeGreaterThanOrEqual(1 / 1.2);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS, type Product } from '../products';
import {
  evenPot,
  heatJ,
  potStep,
  stirred,
  stirredWhereSoft,
  temps,
  toppedUp,
  USUAL_POT,
  type Pot,
  type PotState,
} from './pot';
import { enthalpyJkg } from './waxTable';

const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const film = product('film-hard');
const soft = product('soft');
/** The pot left alone at a setting for some time. */
function after(p: Product, pot: Pot, from: PotState, setC: number | null, seconds: number, roomC = 22) {
  let [state, given, lost, wallC] = [from, 0, 0, -Infinity];
  for (let t = 0; t < seconds; t += 10) {
    const step = potStep(p, pot, state, setC, roomC, 10);
    [state, given, lost] = [step.state, given + step.givenJ, lost + step.lostJ];
    wallC = Math.max(wallC, step.wallC);
  }
  return { state, given, lost, wallC };
}

describe('a pot', () => {
  it('neither makes nor loses energy: what is in it is what was given less what went to the room', () => {
    for (const p of SHIPPED_PRODUCTS) {
      const cold = evenPot(p, 400, 22);
      const { state, given, lost } = after(p, USUAL_POT, cold, 60, 3600);
      expect(given).toBeGreaterThan(1000);
      expect(heatJ(p, state) - heatJ(p, cold)).toBeCloseTo(given - lost, 3);
    }
  });
  it('gives no more than its power, and its wall is never over its setting, at any power', () => {
    for (const heaterW of [20, 100, 200, 1000]) {
      const { given, wallC } = after(film, { ...USUAL_POT, heaterW }, evenPot(film, 400, 22), 63, 1800);
      expect(given).toBeLessThanOrEqual(heaterW * 1800 + 1e-6);
      expect(wallC).toBeLessThanOrEqual(63 + 1e-9);
    }
  });
  it('without a heater cools to the room as one lump does, where it is stirred and nothing sets: exp(−t·U/C) (analytic)', () => {
    let state = evenPot(soft, 400, 50);
    for (let t = 0; t < 3600; t += 10) state = stirred(soft, potStep(soft, USUAL_POT, state, null, 22, 10).state);
    // housing and lid, the lid's six W/m²K over the open top
    const byTop = 6 * Math.PI * 0.045 ** 2;
    const share = Math.exp((-3600 * (0.25 + byTop)) / (0.4 * soft.heatCapacityJkgK));
    // a little slower: what leaves goes through the outermost half of a ring first
    expect(temps(soft, state).mixedC - (22 + 28 * share)).toBeGreaterThan(0);
    expect(temps(soft, state).mixedC - (22 + 28 * share)).toBeLessThan(0.6);
  });
  it('comes to rest where the heater’s mean equals the loss, cooler inside than at its wall', () => {
    const end = after(film, USUAL_POT, evenPot(film, 400, 22), 59, 4 * 3600);
    const more = after(film, USUAL_POT, end.state, 59, 600);
    expect(more.given).toBeCloseTo(more.lost, -1);
    const { rimC, coreC, mixedC, melted } = temps(film, end.state);
    expect(rimC).toBeLessThan(59);
    expect(coreC).toBeLessThan(mixedC);
    expect(mixedC).toBeGreaterThan(56);
    expect(melted).toBeGreaterThan(0.85);
  });
  it('finds the temperature of an enthalpy again, through the melting too', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SHIPPED_PRODUCTS), fc.double({ min: 5, max: 90, noNaN: true }), (p, c) => {
        expect(temps(p, evenPot(p, 300, c)).coreC).toBeCloseTo(c, 4);
        expect(enthalpyJkg(p, c + 0.1)).toBeGreaterThan(enthalpyJkg(p, c));
      }),
      { seed: 3, numRuns: 100 },
    );
  });
  it('keeps its energy when stirred, is even then, and where only its edge moves the middle stays', () => {
    const { state } = after(film, USUAL_POT, evenPot(film, 400, 22), 63, 900);
    expect(temps(film, state).rimC - temps(film, state).coreC).toBeGreaterThan(10);
    const even = temps(film, stirred(film, state));
    expect(even.rimC).toBeCloseTo(even.coreC, 6);
    const partly = stirredWhereSoft(film, state);
    expect(heatJ(film, stirred(film, state))).toBeCloseTo(heatJ(film, state), 6);
    expect(heatJ(film, partly)).toBeCloseTo(heatJ(film, state), 6);
    expect(temps(film, partly).coreC).toBeCloseTo(temps(film, state).coreC, 6);
    expect(temps(film, partly).rimC).toBeLessThan(temps(film, state).rimC);
  });
  it('falls by the energy of what is added and stirred in', () => {
    const warm = evenPot(film, 300, 58);
    const more = toppedUp(film, warm, 100, 22);
    expect(more.waxG).toBe(400);
    expect(heatJ(film, more) - heatJ(film, warm)).toBeCloseTo(enthalpyJkg(film, 22) * 0.1, 6);
    expect(temps(film, more).mixedC).toBeLessThan(temps(film, warm).mixedC - 4);
  });
});

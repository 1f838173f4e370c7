import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS, type Product } from '../products';
import { enthalpyJkg, evenPot, potStep, stirred, temps, toppedUp, USUAL_POT, type Pot, type PotState } from './pot';
import {
  isReady,
  microwaved,
  nextPulse,
  pulsesFromCold,
  readyAfterS,
  refilled,
  switchDown,
  type PotWindow,
} from './ready';

const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
const film = product('film-hard');
const soft = product('soft');
const window: PotWindow = { minC: 54, targetC: 57, maxC: 60 };
const whole = (s: PotState): number => s.rimJ + s.coreJ;
/** The pot left alone at a setting for some time. */
function after(p: Product, pot: Pot, from: PotState, setC: number | null, seconds: number, roomC = 22) {
  let [state, on, given, lost] = [from, false, 0, 0];
  for (let t = 0; t < seconds; t += 5) {
    const step = potStep(p, pot, state, on, setC, roomC, 5);
    [state, on, given, lost] = [step.state, step.on, given + step.givenJ, lost + step.lostJ];
  }
  return { state, given, lost };
}

describe('a pot', () => {
  it('neither makes nor loses energy: what is in it is what was given less what went to the room', () => {
    for (const p of SHIPPED_PRODUCTS) {
      const cold = evenPot(p, 400, 22);
      const { state, given, lost } = after(p, USUAL_POT, cold, 60, 3600);
      expect(whole(state) - whole(cold)).toBeCloseTo(given - lost, 3);
    }
  });
  it('without a heater cools to the room as one lump does: exp(−t·U/C), where rim and core are alike and nothing sets (analytic)', () => {
    const pot = { ...USUAL_POT, waxG: 400 };
    const from = stirred(evenPot(soft, 400, 50));
    let state = from;
    for (let t = 0; t < 3600; t += 5) state = stirred(potStep(soft, pot, state, false, null, 22, 5).state);
    const share = Math.exp((-3600 * (0.25 + 0.12)) / (0.4 * soft.heatCapacityJkgK));
    expect(temps(soft, state).rimC).toBeCloseTo(22 + 28 * share, 1);
  });
  it('comes to rest where the heater’s mean equals the loss, near its setting', () => {
    const { state } = after(film, USUAL_POT, evenPot(film, 400, 22), 57, 4 * 3600);
    const { rimC, coreC, melted } = temps(film, state);
    expect(Math.abs(rimC - 57)).toBeLessThan(2.5);
    expect(coreC).toBeLessThan(rimC);
    expect(rimC - coreC).toBeLessThan(3);
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
  it('keeps its energy when stirred, and is even then', () => {
    const hot: PotState = { rimJ: 20_000, coreJ: 20_000, waxG: 400 };
    expect(whole(stirred(hot))).toBeCloseTo(40_000, 6);
    const t = temps(film, stirred(hot));
    expect(t.rimC).toBeCloseTo(t.coreC, 6);
  });
  it('takes cold beads into its core: cooler there, and by the energy of what was added', () => {
    const warm = evenPot(film, 300, 58);
    const more = toppedUp(film, warm, 100, 22);
    expect(more.waxG).toBe(400);
    expect(whole(more) - whole(warm)).toBeCloseTo(enthalpyJkg(film, 22) * 0.1, 6);
    expect(temps(film, more).coreC).toBeLessThan(temps(film, warm).coreC - 4);
    expect(temps(film, more).rimC).toBeCloseTo(58, 3);
  });
});

describe('time to ready', () => {
  const input = { product: film, pot: USUAL_POT, roomC: 22, window };
  const s = (more: Partial<typeof input>): number => readyAfterS({ ...input, ...more }) ?? Infinity;
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
  it('is less with more power, less wax, a lid, a warmer room', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 150, noNaN: true }),
        fc.double({ min: 200, max: 500, noNaN: true }),
        (heaterW, waxG) => {
          const pot = { ...USUAL_POT, heaterW, waxG };
          const here = s({ pot });
          expect(s({ pot: { ...pot, heaterW: heaterW + 40 } })).toBeLessThanOrEqual(here + 30);
          expect(s({ pot: { ...pot, waxG: waxG + 150 } })).toBeGreaterThanOrEqual(here);
          // the thermostat's play is worth a step or two
          expect(s({ pot: { ...pot, lid: false } })).toBeGreaterThanOrEqual(here - 10);
          expect(s({ pot, roomC: 28 })).toBeLessThanOrEqual(here + 30);
        },
      ),
      { seed: 2, numRuns: 8 },
    );
  });
  it('is nothing where the pot is ready, more after topping up, and never where the heater is too weak', () => {
    const ready = evenPot(film, 400, 57.5);
    expect(isReady(film, ready, window)).toBe(true);
    expect(readyAfterS({ ...input, state: ready })).toBe(0);
    expect(readyAfterS({ ...input, state: toppedUp(film, evenPot(film, 300, 57), 100, 22) })).toBeGreaterThan(0);
    expect(readyAfterS({ ...input, pot: { ...USUAL_POT, heaterW: 6 } })).toBeNull();
  });
  it('comes back after topping up, sooner than from cold, with the core cooler meanwhile', () => {
    const more = refilled(input);
    expect(more.addG).toBe(100);
    expect(more.apartK).toBeGreaterThan(5);
    expect(more.readyS).toBeGreaterThan(0);
    expect(more.readyS ?? Infinity).toBeLessThan(s({}));
  });
  it('is never longer with full heat first and a switch down in time; the rim stays within 4 K over the window', () => {
    for (const p of [film, { ...film, form: 'block' as const }, product('cream-hard')]) {
      const plan = switchDown({ ...input, product: p });
      expect(plan?.readyS).toBeLessThanOrEqual(s({ product: p }));
      expect(plan?.switchDownS).toBeLessThanOrEqual(plan?.readyS ?? 0);
      expect(plan?.hottestRimC).toBeLessThanOrEqual(window.maxC + 4);
    }
    expect(switchDown({ ...input, product: { ...film, form: 'block' } })?.switchDownS).toBeGreaterThan(0);
  });
});

describe('microwave pulses', () => {
  const paste = product('sugar-firm');
  const hand: PotWindow = { minC: 34, targetC: 38, maxC: 42 };
  it('are at most 10 s for paste (common practice, no source), and never take a part over the window', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 45, noNaN: true }),
        fc.double({ min: 100, max: 900, noNaN: true }),
        (c, g) => {
          const state = evenPot(paste, g, c);
          const pulse = nextPulse(paste, state, hand);
          expect(pulse.seconds).toBeLessThanOrEqual(10);
          if (pulse.seconds > 0) {
            expect(temps(paste, microwaved(state, pulse.seconds)).rimC).toBeLessThanOrEqual(hand.maxC);
          }
          expect(pulse.say).toMatch(/stir/);
        },
      ),
      { seed: 7, numRuns: 80 },
    );
  });
  it('bring cold paste to its window in a bounded number, stirred between; more paste takes more', () => {
    const pulses = pulsesFromCold(paste, 500, 20, hand) ?? [];
    expect(pulses.length).toBeGreaterThan(2);
    expect(pulses.length).toBeLessThan(20);
    const state = pulses.reduce((s, seconds) => stirred(microwaved(s, seconds)), evenPot(paste, 500, 20));
    expect(isReady(paste, state, hand)).toBe(true);
    const seconds = (g: number): number => (pulsesFromCold(paste, g, 20, hand) ?? []).reduce((a, b) => a + b, 0);
    expect(seconds(800)).toBeGreaterThan(seconds(300));
    expect(pulsesFromCold(paste, 500, 60, hand)).toBeNull();
  });
  it('stop where the edge is too warm already', () => {
    expect(nextPulse(paste, evenPot(paste, 300, 50), hand)).toMatchObject({ seconds: 0 });
    expect(nextPulse(paste, evenPot(paste, 300, 38), hand).say).toContain('wrist');
  });
});

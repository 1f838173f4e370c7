import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from '../core/products';
import { seededRandom } from '../core/shared';
import { after, probeC, setTo, simulated, withFault, type SimulatedPot } from './simulatedPot';

const film = SHIPPED_PRODUCTS.find((p) => p.id === 'film-hard');
if (!film) throw new Error('film-hard');
const cold = simulated({ product: film, waxG: 400, tempC: 22, setC: 57, roomC: 22 });
const warm = simulated({ product: film, waxG: 400, tempC: 57, setC: 57, roomC: 22 });

/** Second by second, with what the probe told. */
function run(from: SimulatedPot, seconds: number): { readonly one: SimulatedPot; readonly told: (number | null)[] } {
  const random = seededRandom(3);
  let one = from;
  const told: (number | null)[] = [];
  for (let s = 0; s < seconds; s += 2) {
    one = after(one, 2);
    told.push(probeC(one, random));
  }
  return { one, told };
}
const last = (told: readonly (number | null)[]): number => told.at(-1) ?? NaN;

describe('a simulated pot', () => {
  it('warms from cold toward its setting and not above it, and cools when it is switched off', () => {
    const { one, told } = run(cold, 3600);
    expect(last(told)).toBeGreaterThan(50);
    expect(Math.max(...told.map((c) => c ?? 0))).toBeLessThan(57.5);
    expect(last(run(setTo(one, null), 1800).told)).toBeLessThan(last(told) - 3);
  });
  it('takes heat at no more than its power: 100 W into 400 g (energy, analytic)', () => {
    const risesK = last(run(simulated({ ...warm.pot, setC: 90 }), 60).told) - 57;
    // nothing is lost in a minute that would make it faster; the wall takes none
    expect(risesK).toBeLessThan((100 * 60) / (0.4 * film.heatCapacityJkgK) + 0.2);
    expect(risesK).toBeGreaterThan(2);
  });
  it('with a thermostat that sticks goes far over its setting, and heats nothing that is off', () => {
    expect(last(run(withFault(warm, 'STUCK'), 600).told)).toBeGreaterThan(70);
    expect(last(run(withFault(setTo(warm, null), 'STUCK'), 600).told)).toBeLessThan(57);
  });
  it('with a probe that drifts tells less and less, while the wax stays as it is', () => {
    const { one, told } = run(withFault(warm, 'DRIFT'), 300);
    expect(last(told)).toBeLessThan(52.6);
    expect(last(run(withFault(one, 'NONE'), 2).told)).toBeGreaterThan(56);
  });
  it('with a loose plug tells and is silent by turns', () => {
    const { told } = run(withFault(warm, 'DROPOUT'), 160);
    const silent = told.filter((c) => c === null).length;
    expect(silent).toBeGreaterThan(20);
    expect(silent).toBeLessThan(60);
    expect(told.lastIndexOf(null)).toBeGreaterThan(told.findIndex((c) => c !== null));
  });
});

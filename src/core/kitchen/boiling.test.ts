import { describe, expect, it } from 'vitest';
import { airPa, STAGES, steamPa, sugarShareAt, syrupBoilsC, waterBoilsC } from './boiling';

describe('water', () => {
  it('has the pressure of the steam tables (IAPWS, Wagner & Pruss: 0.6117, 3.169, 101.42, 1554.9 kPa)', () => {
    const off = [
      [0.01, 611.7],
      [25, 3169],
      [100, 101_420],
      [200, 1_554_900],
    ].map(([c = 0, pa = 1]) => Math.abs(steamPa(c) / pa - 1));
    expect(Math.max(...off)).toBeLessThan(1e-3);
  });
  it('boils lower on a mountain (published kitchen tables, from memory: 98.3, 96.7, 95.0, 93.3, 90.0 °C)', () => {
    const off = [
      [0, 100],
      [500, 98.3],
      [1000, 96.7],
      [1500, 95],
      [2000, 93.3],
      [3000, 90],
    ].map(([m = 0, c = 0]) => Math.abs(waterBoilsC(m) - c));
    expect(Math.max(...off)).toBeLessThan(0.25);
  });
  it('and the air is that of the standard atmosphere (ISO 2533: 89 875 Pa at 1000 m, 70 109 Pa at 3000 m)', () => {
    expect(airPa(1000)).toBeCloseTo(89_875, -2);
    expect(airPa(3000)).toBeCloseTo(70_109, -2);
  });
});

/** Water in a sucrose solution by Norrish's equation (1966, K = 6.47): a wholly different way to the boiling point. */
function norrishC(share: number): number {
  const [sugar, water] = [share / 342.3, (1 - share) / 18.015];
  const x = sugar / (sugar + water);
  const activity = (1 - x) * Math.exp(-6.47 * x ** 2);
  let [low, high] = [90, 200];
  for (let k = 0; k < 50; k++) {
    const mid = (low + high) / 2;
    if (steamPa(mid) * activity < 101_325) low = mid;
    else high = mid;
  }
  return low;
}

describe('syrup', () => {
  it('boils where Norrish’s equation puts it: within 1 K to 80 % sugar, 3.5 K at 85 %', () => {
    const off = (share: number): number => Math.abs(syrupBoilsC(share) - norrishC(share));
    expect(Math.max(...[0.3, 0.4, 0.5, 0.6, 0.7, 0.75, 0.8].map(off))).toBeLessThan(1);
    // beyond, the equation is extrapolated: it was fitted to thinner syrups
    expect(off(0.85)).toBeLessThan(3.5);
  });
  it('boils within each stage with the sugar that the confectionery table gives it', () => {
    // standard confectionery table, from memory
    const shares = [0.8, 0.85, 0.87, 0.92];
    const outside = STAGES.filter((s, i) => {
      const boils = syrupBoilsC(shares[i] ?? 0);
      return boils < s.fromC || boils > s.toC;
    });
    expect(STAGES).toHaveLength(shares.length);
    expect(outside).toEqual([]);
  });
  it('finds its share again, and falls with the water’s boiling point at a height', () => {
    const shares = [0.1, 0.45, 0.62, 0.81, 0.88, 0.93];
    expect(Math.max(...shares.map((s) => Math.abs(sugarShareAt(syrupBoilsC(s)) - s)))).toBeLessThan(1e-9);
    const waterC = waterBoilsC(1500);
    expect(syrupBoilsC(0.88, waterC)).toBeCloseTo(syrupBoilsC(0.88) - 5, 0);
    expect(sugarShareAt(syrupBoilsC(0.88, waterC), waterC)).toBeCloseTo(0.88, 9);
  });
});

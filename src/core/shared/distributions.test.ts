import { errorFunction } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { logNormalCdf, logNormalStrata, normalCdf, normalCdfFast, normalQuantile, sigmaOfCv } from './distributions';

describe('normalCdf', () => {
  it('agrees with the error function of simple-statistics (its own error 1.2e-7)', () => {
    for (let z = -5; z <= 5; z += 0.13) expect(normalCdf(z)).toBeCloseTo(0.5 * (1 + errorFunction(z / Math.SQRT2)), 6);
  });
  it('gives the tabled quantiles (Abramowitz & Stegun 26.2: Φ(1.959964) = 0.975, Φ(2.326348) = 0.99)', () => {
    expect(normalCdf(1.959964)).toBeCloseTo(0.975, 7);
    expect(normalCdf(2.326348)).toBeCloseTo(0.99, 7);
    expect(normalQuantile(0.975)).toBeCloseTo(1.959964, 6);
    expect(normalQuantile(0.001)).toBeCloseTo(-3.090232, 6);
  });
  it('has a table form within 2e-6 and an exact inverse', () => {
    for (let z = -6.5; z <= 6.5; z += 0.0371) {
      expect(Math.abs(normalCdfFast(z) - normalCdf(z))).toBeLessThan(2e-6);
      if (Math.abs(z) < 4) expect(normalQuantile(normalCdf(z))).toBeCloseTo(z, 8);
    }
  });
});

describe('log-normal', () => {
  it('has its median in the middle and strata that reproduce the mean', () => {
    expect(logNormalCdf(3, 3, 0.4)).toBeCloseTo(0.5, 12);
    const strata = logNormalStrata(5, 0.25, 2000);
    const mean = strata.reduce((a, b) => a + b, 0) / strata.length;
    expect(mean).toBeCloseTo(5 * Math.exp(sigmaOfCv(0.25) ** 2 / 2), 2);
  });
});

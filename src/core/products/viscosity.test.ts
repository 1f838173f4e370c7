import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from './catalogue';
import { viscosityLaw } from './viscosity';
import { layAndPull, mannerOf, waysOf } from './ways';

describe('viscosityLaw', () => {
  it('passes through its two points, falls with temperature, and its window inverts it', () => {
    for (const p of SHIPPED_PRODUCTS) {
      const law = viscosityLaw(p.viscosity);
      for (const [paS, tempC] of p.viscosity) {
        expect(law.atC(tempC)).toBeCloseTo(paS, 6);
        expect(law.tempForPaS(paS)).toBeCloseTo(tempC, 6);
      }
      expect(law.atC(50)).toBeLessThan(law.atC(45));
    }
  });
});

describe('layAndPull', () => {
  it('pulls wax against the growth and moulded sugar with it (common practice, no source)', () => {
    expect(layAndPull('with', [0, 1])).toEqual({ lay: [0, 1], pull: [-0, -1] });
    expect(layAndPull('moulded', [0, 1])).toEqual({ lay: [-0, -1], pull: [0, 1] });
    expect(layAndPull('crossed', [0, 1]).pull).toEqual([-0, -1]);
  });
  it('pulls opposite to the lay in every way but the crossed one', () => {
    for (const way of ['with', 'against', 'free', 'counter', 'across', 'moulded', 'strip'] as const) {
      const { lay, pull } = layAndPull(way, [0.6, 0.8]);
      expect(lay[0] * pull[0] + lay[1] * pull[1]).toBeCloseTo(-1, 12);
    }
  });
});

describe('the catalogue', () => {
  it('covers every family and body, and every way has its manner', () => {
    expect(SHIPPED_PRODUCTS.map((p) => p.id)).toEqual([
      'film-hard',
      'cream-hard',
      'soft',
      'sugar-soft',
      'sugar-firm',
      'sugar-hard',
    ]);
    for (const p of SHIPPED_PRODUCTS) {
      for (const way of waysOf(p)) expect(mannerOf(p, way)?.labelC.min).toBeGreaterThan(20);
    }
    expect(SHIPPED_PRODUCTS.filter((p) => p.family === 'soft').flatMap((p) => waysOf(p))).toEqual(['with']);
  });
});

import { errorFunction as erf } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { burnRate } from './burn';
import { buildGrid, conduct, gradedSteps, tempAtDepth, type Layer } from './conduction';
import { restingProfile, skinLayers } from './skinHeat';

const even = (n: number, dt: number): number[] => Array.from({ length: n }, () => dt);

describe('conduct', () => {
  it('meets two half-spaces at the interface temperature and erf profile (Carslaw & Jaeger, Conduction of Heat in Solids, §2.15)', () => {
    const hot = { conductivityWmK: 0.22, capacityJm3K: 2.06e6 };
    const cold = { conductivityWmK: 0.445, capacityJm3K: 3.96e6 };
    const layers: Layer[] = [{ ...hot, thicknessM: 0.03, cells: 300, stretch: 0.05 }, { ...cold, thicknessM: 0.03, cells: 300, stretch: 20 }];
    const grid = buildGrid(layers);
    const startC = Float64Array.from(grid.layerOf, (l) => (l === 0 ? 60 : 33));
    const e1 = Math.sqrt(hot.conductivityWmK * hot.capacityJm3K);
    const e2 = Math.sqrt(cold.conductivityWmK * cold.capacityJm3K);
    const interfaceC = (e1 * 60 + e2 * 33) / (e1 + e2);
    const diffusivity = cold.conductivityWmK / cold.capacityJm3K;
    let checked = 0;
    conduct({ layers, grid, startC, top: { kind: 'held', tempC: 60 }, bottomC: 33, bloodC: 37, stepsS: even(2000, 0.005) }, (t, temp) => {
      if (Math.abs(t - 2) > 1e-6 && Math.abs(t - 10) > 1e-6) return;
      for (const depth of [0.0002, 0.0005, 0.001, 0.002]) {
        const exact = 33 + (interfaceC - 33) * (1 - erf(depth / (2 * Math.sqrt(diffusivity * t))));
        expect(Math.abs(tempAtDepth(grid, temp, 0.03 + depth) - exact)).toBeLessThan(0.05);
        checked++;
      }
    });
    expect(checked).toBe(8);
  });

  it('moves the front of a one-phase Stefan problem as Neumann found (similarity solution; from memory)', () => {
    // liquid at the melting point, cooled from a held surface: s(t) = 2λ√(αt), λ·e^{λ²}·erf λ = c·ΔT/(L·√π)
    const [k, rhoC, latent, melt, wall] = [0.2, 2e6, 1e8, 50, 30];
    const stefan = (rhoC * (melt - wall)) / latent;
    let [low, high] = [0.01, 2];
    for (let i = 0; i < 60; i++) {
      const mid = (low + high) / 2;
      if (mid * Math.exp(mid * mid) * erf(mid) < stefan / Math.sqrt(Math.PI)) low = mid;
      else high = mid;
    }
    const layers: Layer[] = [{ thicknessM: 0.012, conductivityWmK: k, capacityJm3K: rhoC, cells: 400, setting: { latentJm3: latent, midC: melt, widthK: 0.2 } }];
    const grid = buildGrid(layers);
    const startC = new Float64Array(400).fill(melt + 0.6);
    let front = 0;
    conduct({ layers, grid, startC, top: { kind: 'held', tempC: wall }, bottomC: melt + 0.6, bloodC: 37, stepsS: even(4000, 0.01) }, (_, temp) => {
      const i = temp.findIndex((c) => c > melt);
      front = grid.centreM[i] ?? 0;
    });
    const exact = 2 * low * Math.sqrt((k / rhoC) * 40);
    expect(Math.abs(front / exact - 1)).toBeLessThan(0.03);
  });

  it('keeps a resting skin at rest', () => {
    const layers = skinLayers({ restingC: 33, epidermisUm: 80, tendernessK: 0 });
    const rest = restingProfile(layers, 33);
    const grid = buildGrid(layers);
    conduct({ layers, grid, startC: rest, top: { kind: 'held', tempC: 33 }, bottomC: 37, bloodC: 37, stepsS: gradedSteps(60) }, (_, temp) => {
      temp.forEach((c, i) => expect(Math.abs(c - (rest[i] ?? 0))).toBeLessThan(1e-6));
    });
  });
});

describe('burn integral through conduction, surface held', () => {
  /** Seconds until Ω = 1 at the basal layer (80 µm) under a surface held at a temperature. */
  const secondsToBurn = (surfaceC: number): number => {
    const layers = skinLayers({ restingC: 33, epidermisUm: 80, tendernessK: 0 });
    const grid = buildGrid(layers);
    let omega = 0;
    let at = Infinity;
    conduct({ layers, grid, startC: restingProfile(layers, 33), top: { kind: 'held', tempC: surfaceC }, bottomC: 37, bloodC: 37, stepsS: gradedSteps(40_000, 0.01, 1.05, 20) }, (t, temp, dt) => {
      omega += burnRate(tempAtDepth(grid, temp, 80e-6)) * dt;
      if (omega >= 1) at = t;
      return omega < 1;
    });
    return at;
  };
  // Moritz & Henriques 1947 (Am J Pathol 23:695), thresholds of irreversible epidermal injury; values from memory.
  it.each([[49, 570], [51, 300], [53, 75], [55, 30], [60, 5]])('%i °C: within a factor 4 of %i s (Moritz & Henriques 1947, from memory)', (tempC, seconds) => {
    const ours = secondsToBurn(tempC);
    expect(ours).toBeGreaterThan(seconds / 4);
    expect(ours).toBeLessThan(seconds * 4);
  });
  // Contact thresholds of ISO 13732-1 lie below injury by design: ours must not be later than three times them.
  it.each([[51, 60], [48, 600], [43, 28_800]])('%i °C: at most 3 × the contact threshold of %i s (ISO 13732-1, from memory)', (tempC, seconds) => {
    expect(secondsToBurn(tempC)).toBeLessThanOrEqual(3 * seconds);
  });
});

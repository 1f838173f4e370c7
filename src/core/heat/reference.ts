// Problems with a known answer, solved by this room's own solver: for the tests and for the plots in docs/heat.md. The
// error function comes from a library outside (simple-statistics), passed in. Sources: Carslaw & Jaeger, Conduction of
// Heat in Solids, §2.15 (two half-spaces in contact); Neumann's similarity solution of the one-phase Stefan problem
// (from memory); Moritz & Henriques 1947 (burn times).

import { burnRate } from './burn';
import { buildGrid, conduct, gradedSteps, tempAtDepth, type Layer } from './conduction';
import { restingProfile, skinLayers } from './skinHeat';

export type Erf = (x: number) => number;

const even = (n: number, dt: number): number[] => Array.from({ length: n }, () => dt);

export interface Compared {
  /** Depth below the contact, m, or time, s. */
  readonly at: number;
  readonly solved: number;
  readonly exact: number;
}

const HOT = { conductivityWmK: 0.22, capacityJm3K: 2.06e6, startC: 60 } as const;
const COLD = { conductivityWmK: 0.445, capacityJm3K: 3.96e6, startC: 33 } as const;

/** Hot wax against cold skin, both half-infinite: temperature at depths of the skin after `timeS` (≤ 10 s), °C. */
export function twoHalfSpaces(erf: Erf, timeS: number, depthsM: readonly number[]): readonly Compared[] {
  const layers: Layer[] = [
    { ...HOT, thicknessM: 0.03, cells: 300, stretch: 0.05 },
    { ...COLD, thicknessM: 0.03, cells: 300, stretch: 20 },
  ];
  const grid = buildGrid(layers);
  const startC = Float64Array.from(grid.layerOf, (l) => (l === 0 ? HOT.startC : COLD.startC));
  const [e1, e2] = [
    Math.sqrt(HOT.conductivityWmK * HOT.capacityJm3K),
    Math.sqrt(COLD.conductivityWmK * COLD.capacityJm3K),
  ];
  const contactC = (e1 * HOT.startC + e2 * COLD.startC) / (e1 + e2);
  const diffusivity = COLD.conductivityWmK / COLD.capacityJm3K;
  let out: readonly Compared[] = [];
  conduct(
    {
      layers,
      grid,
      startC,
      top: { kind: 'held', tempC: HOT.startC },
      bottomC: COLD.startC,
      bloodC: 37,
      stepsS: even(Math.round(timeS / 0.005), 0.005),
    },
    (_, temp) => {
      out = depthsM.map((d) => ({
        at: d,
        solved: tempAtDepth(grid, temp, 0.03 + d),
        exact: COLD.startC + (contactC - COLD.startC) * (1 - erf(d / (2 * Math.sqrt(diffusivity * timeS)))),
      }));
    },
  );
  return out;
}

/**
 * Liquid at its melting point cooled from a held wall: how far the front has come, m, against s(t) = 2λ√(αt) with
 * λ·e^{λ²}·erf λ = c·ΔT/(L·√π).
 */
export function stefanFront(erf: Erf, endS = 40, everyS = 2): readonly Compared[] {
  const [k, rhoC, latent, melt, wall] = [0.2, 2e6, 1e8, 50, 30];
  let [low, high] = [0.01, 2];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (mid * Math.exp(mid * mid) * erf(mid) < (rhoC * (melt - wall)) / latent / Math.sqrt(Math.PI)) low = mid;
    else high = mid;
  }
  const layers: Layer[] = [
    {
      thicknessM: 0.012,
      conductivityWmK: k,
      capacityJm3K: rhoC,
      cells: 400,
      setting: { latentJm3: latent, midC: melt, widthK: 0.2 },
    },
  ];
  const grid = buildGrid(layers);
  const out: Compared[] = [];
  conduct(
    {
      layers,
      grid,
      startC: new Float64Array(400).fill(melt + 0.6),
      top: { kind: 'held', tempC: wall },
      bottomC: melt + 0.6,
      bloodC: 37,
      stepsS: even(Math.round(endS / 0.01), 0.01),
    },
    (timeS, temp) => {
      if (timeS < everyS * (out.length + 1) - 1e-6) return;
      out.push({
        at: timeS,
        solved: grid.centreM[temp.findIndex((c) => c > melt)] ?? 0,
        exact: 2 * low * Math.sqrt((k / rhoC) * timeS),
      });
    },
  );
  return out;
}

/** Seconds until Ω = 1 at the basal layer (80 µm) of a trunk whose surface is held at a temperature. */
export function secondsToBurn(surfaceC: number): number {
  const layers = skinLayers({ restingC: 33, epidermisUm: 80, tendernessK: 0 });
  const grid = buildGrid(layers);
  let omega = 0;
  let at = Infinity;
  conduct(
    {
      layers,
      grid,
      startC: restingProfile(layers, 33),
      top: { kind: 'held', tempC: surfaceC },
      bottomC: 37,
      bloodC: 37,
      stepsS: gradedSteps(40_000, 0.01, 1.05, 20),
    },
    (t, temp, dt) => {
      omega += burnRate(tempAtDepth(grid, temp, 80e-6)) * dt;
      if (omega >= 1) at = t;
      return omega < 1;
    },
  );
  return at;
}

/** Thresholds of irreversible injury, °C and s (Moritz & Henriques 1947, Am J Pathol 23:695; values from memory). */
export const BURN_PAIRS: readonly (readonly [number, number])[] = [
  [49, 570],
  [51, 300],
  [53, 75],
  [55, 30],
  [60, 5],
];
/** Contact thresholds of ISO 13732-1, °C and s (from memory): below injury by design. */
export const CONTACT_PAIRS: readonly (readonly [number, number])[] = [
  [51, 60],
  [48, 600],
  [43, 28_800],
];

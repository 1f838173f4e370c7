// One-dimensional heat conduction through a stack of layers: implicit finite volumes (backward Euler, graded steps),
// blood perfusion after Pennes (1948, J Appl Physiol 1:93), setting wax by its enthalpy (apparent heat capacity, two
// Picard sweeps a step). Top side: convection to air, or held at a temperature; bottom side: held at a temperature.
// Axis: depth increasing downward from the top of the stack, metres. Time in seconds, temperature in °C. Left out:
// sideways conduction, evaporation, radiation beyond the convective coefficient.

import { normalCdfFast } from '../shared';

export interface Layer {
  readonly thicknessM: number;
  readonly conductivityWmK: number;
  /** Volumetric heat capacity, J/(m³·K). */
  readonly capacityJm3K: number;
  /** Perfusion rate times the heat capacity of blood, W/(m³·K); 0 = none. */
  readonly perfusionWm3K?: number;
  /** Setting: latent heat per volume spread as a normal curve round midC. */
  readonly setting?: { readonly latentJm3: number; readonly midC: number; readonly widthK: number };
  readonly cells: number;
  /** Ratio of the last cell's size to the first cell's; 1 = even. */
  readonly stretch?: number;
}

export interface Grid {
  readonly centreM: Float64Array;
  readonly sizeM: Float64Array;
  readonly layerOf: Uint8Array;
}

export type TopSide =
  | { readonly kind: 'air'; readonly airC: number; readonly coefficientWm2K: number }
  | { readonly kind: 'held'; readonly tempC: number };

/** Cell centres and sizes of a stack; depth 0 is the stack's top. */
export function buildGrid(layers: readonly Layer[]): Grid {
  const n = layers.reduce((s, l) => s + l.cells, 0);
  const grid: Grid = { centreM: new Float64Array(n), sizeM: new Float64Array(n), layerOf: new Uint8Array(n) };
  let top = 0;
  let cell = 0;
  for (const [index, layer] of layers.entries()) {
    const ratio = (layer.stretch ?? 1) ** (1 / Math.max(1, layer.cells - 1));
    const weights = Array.from({ length: layer.cells }, (_, i) => ratio ** i);
    const unitM = layer.thicknessM / weights.reduce((a, b) => a + b, 0);
    for (const weight of weights) {
      const size = weight * unitM;
      grid.sizeM[cell] = size;
      grid.centreM[cell] = top + size / 2;
      grid.layerOf[cell] = index;
      top += size;
      cell++;
    }
  }
  return grid;
}

/** Graded steps from `firstS`, each `ratio` times the last up to `longestS`, ending exactly at `endS`. */
export function gradedSteps(endS: number, firstS = 0.004, ratio = 1.14, longestS = 1.5): readonly number[] {
  const steps: number[] = [];
  let t = 0;
  let dt = firstS;
  while (t + dt < endS - 1e-9) {
    steps.push(dt);
    t += dt;
    dt = Math.min(dt * ratio, longestS);
  }
  steps.push(endS - t);
  return steps;
}

export interface ConductionInput {
  readonly layers: readonly Layer[];
  readonly grid: Grid;
  /** Starting temperature of every cell, °C. */
  readonly startC: Float64Array;
  readonly top: TopSide;
  /** Temperature held below the stack, °C. */
  readonly bottomC: number;
  /** Temperature of the arriving blood, °C. */
  readonly bloodC: number;
  readonly stepsS: readonly number[];
}

const SQRT_2PI = Math.sqrt(2 * Math.PI);

/** Mean apparent heat capacity between two temperatures: sensible plus the latent heat given off between them. */
function meanCapacity(layer: Layer, fromC: number, toC: number): number {
  const s = layer.setting;
  if (!s) return layer.capacityJm3K;
  const a = (fromC - s.midC) / s.widthK;
  const b = (toC - s.midC) / s.widthK;
  if ((a > 5 && b > 5) || (a < -5 && b < -5)) return layer.capacityJm3K;
  const slope =
    Math.abs(b - a) < 1e-3 ? Math.exp(-0.5 * a * b) / SQRT_2PI : (normalCdfFast(b) - normalCdfFast(a)) / (b - a);
  return layer.capacityJm3K + (s.latentJm3 / s.widthK) * slope;
}

/**
 * Marches the stack through its steps and calls `onStep(timeS, tempC)` after each; the array is reused, copy what is
 * kept. `onStep` returning false ends the march early.
 */
export function conduct(
  input: ConductionInput,
  onStep: (timeS: number, tempC: Float64Array, stepS: number) => boolean | void,
): void {
  const { layers, grid, top, bottomC, bloodC } = input;
  const n = grid.centreM.length;
  const layerAt = Array.from(grid.layerOf, (i) => layers[i] as Layer); // layerOf holds indices of this very array
  const size = (i: number): number => grid.sizeM[i] ?? 0;
  const halfResistance = layerAt.map((layer, i) => size(i) / 2 / layer.conductivityWmK);
  const half = (i: number): number => halfResistance[i] ?? 0;
  // conductance between cell i−1 and i, W/(m²·K); ends: to the top side and to the held bottom
  const link = new Float64Array(n + 1);
  for (let i = 1; i < n; i++) link[i] = 1 / (half(i - 1) + half(i));
  link[0] = top.kind === 'held' ? 1 / half(0) : 1 / (half(0) + 1 / top.coefficientWm2K);
  link[n] = 1 / half(n - 1);
  const topC = top.kind === 'held' ? top.tempC : top.airC;
  const perfused = layerAt.map((layer, i) => (layer.perfusionWm3K ?? 0) * size(i));

  const now = Float64Array.from(input.startC);
  const guess = new Float64Array(n);
  const upper = new Float64Array(n);
  const right = new Float64Array(n);
  const setting = layerAt.some((l) => l.setting);
  let time = 0;
  for (const dt of input.stepsS) {
    guess.set(now);
    for (let sweep = 0; sweep < (setting ? 2 : 1); sweep++) {
      for (let i = 0; i < n; i++) {
        const layer = layerAt[i] as Layer; // n entries by construction
        const old = now[i] as number;
        const store = (meanCapacity(layer, old, guess[i] as number) * size(i)) / dt;
        const above = link[i] as number;
        const below = link[i + 1] as number;
        const blood = perfused[i] as number;
        let diagonal = store + above + below + blood;
        let rhs = store * old + blood * bloodC;
        if (i === 0) rhs += above * topC;
        else {
          diagonal -= above * (upper[i - 1] as number);
          rhs += above * (right[i - 1] as number);
        }
        if (i === n - 1) rhs += below * bottomC;
        upper[i] = i === n - 1 ? 0 : below / diagonal;
        right[i] = rhs / diagonal;
      }
      guess[n - 1] = right[n - 1] as number;
      for (let i = n - 2; i >= 0; i--) {
        guess[i] = (right[i] as number) + (upper[i] as number) * (guess[i + 1] as number);
      }
    }
    now.set(guess);
    time += dt;
    if (onStep(time, now, dt) === false) return;
  }
}

/** Temperature at a depth below the stack's top, linear between cell centres. */
export function tempAtDepth(grid: Grid, tempC: Float64Array, depthM: number): number {
  const { centreM } = grid;
  const n = centreM.length;
  let i = 1;
  while (i < n - 1 && (centreM[i] as number) < depthM) i++;
  const [x0, x1] = [centreM[i - 1] as number, centreM[i] as number];
  const [y0, y1] = [tempC[i - 1] as number, tempC[i] as number];
  return y0 + ((y1 - y0) * (depthM - x0)) / (x1 - x0);
}

// The can against conduction in a cylinder, outside this code. Still wax here: its viscosity is raised until it does
// not turn over, as soft wax and paste hardly do below working heat.

import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS, type Product } from '../products';
import { CAN_RADIUS_M } from './canGrid';
import { evenPot, potStep, temps, type Pot, type PotState } from './pot';

const still = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  const [[a, x], [b, y]] = found.viscosity;
  const stiff = [
    [a * 1e6, x],
    [b * 1e6, y],
  ] as const;
  return { ...found, viscosity: stiff };
};
const PRODUCTS = ['soft', 'sugar-firm'].map(still);
/** The wall at its setting from the first second on. */
const strong: Pot = { heaterW: 1e5, waxG: 400, lid: true };
const LID = 6;
const heightM = (p: Product): number => strong.waxG / 1000 / p.densityKgM3 / (Math.PI * CAN_RADIUS_M ** 2);
const alpha = (p: Product): number => p.conductivityWmK / (p.densityKgM3 * p.heatCapacityJkgK);

function after(p: Product, seconds: number, setC: number, roomC: number): PotState {
  let state = evenPot(p, strong.waxG, 22);
  for (let t = 0; t < seconds; t += 10) ({ state } = potStep(p, strong, state, setC, roomC, 10));
  return state;
}

/** Zeros of J0 (Abramowitz & Stegun, table 9.5). */
const J0_ZEROS = [2.40483, 5.52008, 8.65373, 11.79153, 14.93092, 18.07106, 21.21164, 24.35247];

/** Root number `n` of x·cot x = −Bi: a slab held at one face, losing heat at the other (Carslaw & Jaeger, §3.9). */
function slabRoot(n: number, bi: number): number {
  let [low, high] = [(n + 0.5) * Math.PI, (n + 1) * Math.PI];
  for (let k = 0; k < 60; k++) {
    const mid = (low + high) / 2;
    const above = mid * Math.cos(mid) + bi * Math.sin(mid) > 0;
    if (above === (n % 2 === 0)) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/**
 * Mean share of the first difference that is left, 0–1: cylinder times slab (Newman's product rule, 1936), where wall
 * and room are alike.
 */
function meanLeft(p: Product, seconds: number): number {
  const [a, h] = [alpha(p), heightM(p)];
  const inward = J0_ZEROS.reduce((s, z) => s + (4 / z ** 2) * Math.exp((-a * seconds * z ** 2) / CAN_RADIUS_M ** 2), 0);
  const bi = (LID * h) / p.conductivityWmK;
  const upward = Array.from({ length: 40 }, (_, n) => {
    const b = slabRoot(n, bi);
    // ∫sin, squared, over ∫sin² of the eigenfunction sin(b·z/h) that is nought at the bottom
    const first = (1 - Math.cos(b)) / b;
    return (first ** 2 / (0.5 - Math.sin(2 * b) / (4 * b))) * Math.exp((-a * seconds * b ** 2) / h ** 2);
  }).reduce((s, x) => s + x, 0);
  return inward * upward;
}

/** Nodes on the faces, 24 × 24, forward in time: temperatures of the can with its wall held and its top losing heat. */
function nodes(p: Product, seconds: number, wallC: number, roomC: number): { meanC: number; coldC: number } {
  const N = 24;
  const [dr, dz, a] = [CAN_RADIUS_M / N, heightM(p) / N, alpha(p)];
  const steps = Math.ceil((seconds * a * 5) / Math.min(dr, dz) ** 2);
  const dt = seconds / steps;
  const bi = (LID * dz) / p.conductivityWmK;
  let t = Array.from({ length: N + 1 }, (_, z) =>
    Array.from({ length: N + 1 }, (_, r) => (z === 0 || r === N ? wallC : 22)),
  );
  const at = (z: number, r: number): number => t[z]?.[r] ?? NaN;
  for (let k = 0; k < steps; k++) {
    t = t.map((row, z) =>
      row.map((c, r) => {
        if (z === 0 || r === N) return wallC;
        const radial =
          r === 0
            ? (4 * (at(z, 1) - c)) / dr ** 2
            : (at(z, r + 1) - 2 * c + at(z, r - 1)) / dr ** 2 + (at(z, r + 1) - at(z, r - 1)) / (2 * r * dr ** 2);
        const upward =
          z === N
            ? (2 * (at(z - 1, r) - c) - 2 * bi * (c - roomC)) / dz ** 2
            : (at(z + 1, r) - 2 * c + at(z - 1, r)) / dz ** 2;
        return c + dt * a * (radial + upward);
      }),
    );
  }
  // rings about the nodes: a disc of half a step in the middle, half a ring at the wall
  const weights = Array.from({ length: N + 1 }, (_, r) => r);
  [weights[0], weights[N]] = [1 / 8, (N - 0.25) / 2];
  const rows = t.map((row) => row.reduce((s, c, r) => s + c * (weights[r] ?? 0), 0));
  const meanC = rows.reduce((s, m, z) => s + (z === 0 || z === N ? m / 2 : m), 0) / N / (N ** 2 / 2);
  return { meanC, coldC: Math.min(...t.flat()) };
}

const MINUTES = [5, 10, 20, 40, 60];

describe('a can of soft wax and of paste', () => {
  it('conducts as a cylinder does where wall and room are alike (analytic)', () => {
    const off = PRODUCTS.flatMap((p) =>
      MINUTES.map((m) => {
        const wanted = 52 - 30 * meanLeft(p, m * 60);
        return Math.abs(temps(p, after(p, m * 60, 52, 52)).mixedC - wanted);
      }),
    );
    expect(off).toHaveLength(10);
    // of 30 K; most of it in the first minutes, where all of the change lies in the outermost ring
    expect(Math.max(...off)).toBeLessThan(0.8);
  });
  it('and as a finer cylinder of nodes does where its top loses heat to the room: mean and coldest place', () => {
    const off = PRODUCTS.flatMap((p) =>
      MINUTES.map((m) => {
        const here = temps(p, after(p, m * 60, 52, 22));
        const there = nodes(p, m * 60, 52, 22);
        return [Math.abs(here.mixedC - there.meanC), Math.abs(here.coreC - there.coldC)];
      }),
    );
    expect(Math.max(...off.map(([mean]) => mean ?? Infinity))).toBeLessThan(0.9);
    // the coldest cell lies half a cell off the axis
    expect(Math.max(...off.map(([, cold]) => cold ?? Infinity))).toBeLessThan(1.5);
  });
});

// The fine lattice on which fitted lanes are cut: lane coordinates s and t between the nodes of the field.

import { boxOf, clamp, crossingsAt, type Region, type Vec } from '../shared';
import type { GrowthField } from '../field';
import type { NodeGrid } from './cellBorders';
import type { LaneCoordinates } from './laneCoordinates';

/** Nodes of the lattice to a node of the field, either way. */
const FINER = 2;

/** Places a point between four nodes: index of the upper left one and the shares to the right and below. */
export function cornerOf(size: number, at: number, spacingCm: number): readonly [number, number] {
  const u = clamp(at / spacingCm - 0.5, 0, size - 1);
  const i = Math.min(Math.floor(u), Math.max(0, size - 2));
  return [i, u - i];
}

/** Value between four nodes; NaN neighbours are left out. */
function between(field: GrowthField, values: Float64Array, i: number, a: number, j: number, b: number): number {
  const { columns, rows } = field;
  const [upper, lower] = [j * columns + i, Math.min(rows - 1, j + 1) * columns + i];
  const right = i + 1 < columns ? 1 : 0;
  const v00 = values[upper] as number; // nodes of this field, here and below
  const v10 = values[upper + right] as number;
  const v01 = values[lower] as number;
  const v11 = values[lower + right] as number;
  const whole = (1 - b) * ((1 - a) * v00 + a * v10) + b * ((1 - a) * v01 + a * v11);
  if (!Number.isNaN(whole)) return whole;
  let [sum, weight] = [0, 0];
  for (const [value, w] of [
    [v00, (1 - a) * (1 - b)],
    [v10, a * (1 - b)],
    [v01, (1 - a) * b],
    [v11, a * b],
  ] as const) {
    if (Number.isNaN(value)) continue;
    sum += (w + 1e-9) * value;
    weight += w + 1e-9;
  }
  return weight > 0 ? sum / weight : NaN;
}

export interface Fine extends NodeGrid {
  readonly origin: Vec;
  /** Those inside the ground. */
  readonly nodes: Int32Array;
  readonly s: Float64Array;
  readonly t: Float64Array;
  readonly fit: LaneCoordinates;
}

/** Lane coordinates at every node inside the ground. */
export function fineGrid(ground: Region, field: GrowthField, fit: LaneCoordinates): Fine {
  const box = boxOf(ground);
  const spacingCm = field.spacingCm / FINER;
  const origin: Vec = [box.x0 - 2 * spacingCm, box.y0 - 2 * spacingCm];
  const columns = Math.ceil((box.x1 - origin[0]) / spacingCm) + 2;
  const rows = Math.ceil((box.y1 - origin[1]) / spacingCm) + 2;
  const nodes = new Int32Array(columns * rows);
  let count = 0;
  const s = new Float64Array(columns * rows);
  const t = new Float64Array(columns * rows);
  const across = Array.from({ length: columns }, (_, i) =>
    cornerOf(field.columns, origin[0] + (i + 0.5) * spacingCm, field.spacingCm),
  );
  for (let j = 0, n = 0; j < rows; j++) {
    const y = origin[1] + (j + 0.5) * spacingCm;
    const xs = crossingsAt(ground, y);
    const [fj, b] = cornerOf(field.rows, y, field.spacingCm);
    for (let i = 0, left = 0; i < columns; i++, n++) {
      const x = origin[0] + (i + 0.5) * spacingCm;
      while (left < xs.length && (xs[left] as number) <= x) left++; // left < length
      if (left % 2 === 0) continue;
      const [fi, a] = across[i] as readonly [number, number]; // i < columns
      s[n] = between(field, fit.s, fi, a, fj, b);
      t[n] = between(field, fit.t, fi, a, fj, b);
      if (!Number.isNaN(s[n]) && !Number.isNaN(t[n])) nodes[count++] = n;
    }
  }
  return { columns, rows, spacingCm, origin, nodes: nodes.slice(0, count), s, t, fit };
}

// Coordinates that follow the growth (layout B): s along it and t across, fitted to the field's nodes by least squares,
// ∇s ≈ growth and ∇t ≈ its normal. Least squares on a grid is Poisson's equation: solved by conjugate gradients.
// A field that spreads or swirls has no exact such coordinates; then lanes widen and narrow, and what is cut is measured anew.

import type { Vec } from '../shared';
import type { GrowthField } from '../field';

export interface LaneCoordinates {
  /** Per node, cm; NaN for nodes that are not of the cell and not near it. */
  readonly s: Float64Array;
  readonly t: Float64Array;
}

/** Residual at which the solver stops, relative to the start; steps at most this many. */
const RESIDUAL = 1e-2;
const MOST_STEPS = 200;

/** Pairs of neighbours of a cell (right and below), as [from, to, horizontal]. */
function edgesOf(field: GrowthField, labels: Int32Array, label: number): Int32Array {
  const { columns, rows } = field;
  const out: number[] = [];
  for (let n = 0; n < columns * rows; n++) {
    if (labels[n] !== label) continue;
    if ((n + 1) % columns !== 0 && labels[n + 1] === label) out.push(n, n + 1, 1);
    if (n + columns < columns * rows && labels[n + columns] === label) out.push(n, n + columns, 0);
  }
  return Int32Array.from(out);
}

/** Minimises Σ (x[b] − x[a] − want)² over the edges; x starts at the projection on the cell's mean and keeps its level. */
function solve(edges: Int32Array, want: Float64Array, x: Float64Array): void {
  const n = x.length;
  const apply = (v: Float64Array, out: Float64Array): void => {
    out.fill(0);
    for (let e = 0; e < edges.length; e += 3) {
      const a = edges[e] as number; // e + 2 < length
      const b = edges[e + 1] as number;
      const d = (v[b] as number) - (v[a] as number);
      out[b] = (out[b] as number) + d;
      out[a] = (out[a] as number) - d;
    }
  };
  const r = new Float64Array(n);
  const q = new Float64Array(n);
  apply(x, q);
  for (let e = 0, k = 0; e < edges.length; e += 3, k++) {
    const a = edges[e] as number;
    const b = edges[e + 1] as number;
    const w = want[k] as number;
    r[b] = (r[b] as number) + w;
    r[a] = (r[a] as number) - w;
  }
  for (let i = 0; i < n; i++) r[i] = (r[i] as number) - (q[i] as number);
  const p = Float64Array.from(r);
  let rr = r.reduce((sum, v) => sum + v * v, 0);
  const enough = Math.max(RESIDUAL ** 2 * rr, 1e-18 * n);
  for (let step = 0; step < MOST_STEPS && rr > enough; step++) {
    apply(p, q);
    let pq = 0;
    for (let i = 0; i < n; i++) pq += (p[i] as number) * (q[i] as number);
    if (pq <= 0) return;
    const alpha = rr / pq;
    let next = 0;
    for (let i = 0; i < n; i++) {
      x[i] = (x[i] as number) + alpha * (p[i] as number);
      const left = (r[i] as number) - alpha * (q[i] as number);
      r[i] = left;
      next += left * left;
    }
    const beta = next / rr;
    for (let i = 0; i < n; i++) p[i] = (r[i] as number) + beta * (p[i] as number);
    rr = next;
  }
}

/** Carries the values outward over `steps` nodes beyond the cell, each from its neighbours along the field there. */
function spread(field: GrowthField, known: Uint8Array, values: readonly (readonly [Float64Array, Float64Array])[], steps: number): void {
  const { columns, rows, spacingCm: h } = field;
  let front = Array.from(known.keys()).filter((n) => known[n] === 1);
  for (let step = 0; step < steps; step++) {
    const next = new Set<number>();
    const around = (n: number): (readonly [number, Vec])[] => {
      const i = n % columns;
      return [
        ...(i > 0 ? [[n - 1, [-h, 0]] as const] : []), ...(i + 1 < columns ? [[n + 1, [h, 0]] as const] : []),
        ...(n >= columns ? [[n - columns, [0, -h]] as const] : []), ...(n + columns < columns * rows ? [[n + columns, [0, h]] as const] : []),
      ];
    };
    for (const n of front) for (const [other] of around(n)) if (known[other] !== 1) next.add(other);
    for (const n of next) {
      const from = around(n).filter(([other]) => known[other] === 1);
      for (const [x, gradient] of values) {
        // the slope of the known neighbour: the field beyond may be another cell's
        x[n] = from.reduce((sum, [other, [dx, dy]]) => sum + (x[other] as number) - dx * (gradient[2 * other] as number) - dy * (gradient[2 * other + 1] as number), 0) / from.length;
      }
    }
    for (const n of next) known[n] = 1;
    front = [...next];
  }
}

/**
 * Fits s and t to the nodes with the given label. `way` holds the way lanes run (the lay) at every node, unit vectors as x, y, x, y …
 * Two rings of nodes beyond the cell are filled too, so that points near its border can be interpolated.
 */
export function laneCoordinates(field: GrowthField, labels: Int32Array, label: number, way: Float64Array): LaneCoordinates {
  const n = field.columns * field.rows;
  const edges = edgesOf(field, labels, label);
  const h = field.spacingCm;
  const across = Float64Array.from(way, (_, k) => (k % 2 === 0 ? -(way[k + 1] as number) : (way[k - 1] as number))); // a quarter turn
  const wanted = (along: Float64Array): Float64Array => {
    const want = new Float64Array(edges.length / 3);
    for (let e = 0, k = 0; e < edges.length; e += 3, k++) {
      const axis = edges[e + 2] === 1 ? 0 : 1;
      want[k] = (h * ((along[2 * (edges[e] as number) + axis] as number) + (along[2 * (edges[e + 1] as number) + axis] as number))) / 2;
    }
    return want;
  };
  let [mx, my] = [0, 0];
  const known = new Uint8Array(n);
  for (let i = 0; i < n; i++) {
    if (labels[i] !== label) continue;
    known[i] = 1;
    mx += way[2 * i] as number;
    my += way[2 * i + 1] as number;
  }
  const length = Math.hypot(mx, my) || 1;
  const straight = (ax: number, ay: number): Float64Array => {
    const x = new Float64Array(n);
    for (let i = 0; i < n; i++) if (known[i] === 1) x[i] = h * (((i % field.columns) + 0.5) * ax + (Math.floor(i / field.columns) + 0.5) * ay);
    return x;
  };
  const s = straight(mx / length, my / length);
  const t = straight(-my / length, mx / length);
  solve(edges, wanted(way), s);
  solve(edges, wanted(across), t);
  spread(field, known, [[s, way], [t, across]], 2);
  for (let i = 0; i < n; i++) if (known[i] !== 1) s[i] = t[i] = NaN;
  return { s, t };
}

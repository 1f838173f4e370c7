// Coordinates that follow the growth (layout B): s along it and t across, fitted to the field's nodes by least squares,
// ∇s ≈ growth and ∇t ≈ its normal. Least squares on a grid is Poisson's equation: solved by conjugate gradients.
// A field that spreads or swirls has no exact such coordinates; then lanes widen and narrow, and what is cut is
// measured anew.

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

/**
 * A cell's nodes as a graph: `node` of the field, and for each its neighbours within the cell as indices into it
 * (itself where there is none).
 */
interface CellGraph {
  readonly node: Int32Array;
  readonly left: Int32Array;
  readonly right: Int32Array;
  readonly above: Int32Array;
  readonly below: Int32Array;
}

function graphOf({ columns }: GrowthField, labels: Int32Array, label: number): CellGraph {
  const place = new Int32Array(labels.length).fill(-1);
  let count = 0;
  for (let n = 0; n < labels.length; n++) if (labels[n] === label) place[n] = count++;
  const node = new Int32Array(count);
  const [left, right, above, below] = [
    new Int32Array(count),
    new Int32Array(count),
    new Int32Array(count),
    new Int32Array(count),
  ];
  for (let n = 0, k = 0; n < labels.length; n++) {
    if (labels[n] !== label) continue;
    const or = (other: number, there: boolean): number =>
      there && (place[other] ?? -1) >= 0 ? (place[other] as number) : k;
    const column = n % columns;
    node[k] = n;
    left[k] = or(n - 1, column > 0);
    right[k] = or(n + 1, column + 1 < columns);
    above[k] = or(n - columns, n >= columns);
    below[k] = or(n + columns, n + columns < labels.length);
    k++;
  }
  return { node, left, right, above, below };
}

/**
 * Minimises Σ (x[b] − x[a] − want)² over neighbours, wants as the divergence `source`; x starts at a guess and keeps
 * its level.
 */
function solve({ left, right, above, below }: CellGraph, source: Float64Array, x: Float64Array): void {
  const n = x.length;
  /** Writes the operator on v, and gives v · that. */
  const apply = (v: Float64Array, out: Float64Array): number => {
    let sum = 0;
    for (let i = 0; i < n; i++) {
      const own = v[i] as number; // i < n
      const made =
        4 * own -
        (v[left[i] as number] as number) -
        (v[right[i] as number] as number) -
        (v[above[i] as number] as number) -
        (v[below[i] as number] as number);
      out[i] = made;
      sum += own * made;
    }
    return sum;
  };
  const r = new Float64Array(n);
  const q = new Float64Array(n);
  apply(x, q);
  let rr = 0;
  for (let i = 0; i < n; i++) {
    const left0 = (source[i] as number) - (q[i] as number);
    r[i] = left0;
    rr += left0 * left0;
  }
  const p = Float64Array.from(r);
  const enough = Math.max(RESIDUAL ** 2 * rr, 1e-18 * n);
  for (let step = 0; step < MOST_STEPS && rr > enough; step++) {
    const pq = apply(p, q);
    if (pq <= 0) return;
    const alpha = rr / pq;
    let next = 0;
    for (let i = 0; i < n; i++) {
      x[i] = (x[i] as number) + alpha * (p[i] as number);
      const rest = (r[i] as number) - alpha * (q[i] as number);
      r[i] = rest;
      next += rest * rest;
    }
    const beta = next / rr;
    for (let i = 0; i < n; i++) p[i] = (r[i] as number) + beta * (p[i] as number);
    rr = next;
  }
}

/** Carries the values outward over `steps` nodes beyond the cell, each from its neighbours along the field there. */
function spread(
  field: GrowthField,
  known: Uint8Array,
  values: readonly (readonly [Float64Array, Float64Array])[],
  steps: number,
): void {
  const { columns, rows, spacingCm: h } = field;
  let front = Array.from(known.keys()).filter((n) => known[n] === 1);
  for (let step = 0; step < steps; step++) {
    const next = new Set<number>();
    const around = (n: number): (readonly [number, Vec])[] => {
      const i = n % columns;
      return [
        ...(i > 0 ? [[n - 1, [-h, 0]] as const] : []),
        ...(i + 1 < columns ? [[n + 1, [h, 0]] as const] : []),
        ...(n >= columns ? [[n - columns, [0, -h]] as const] : []),
        ...(n + columns < columns * rows ? [[n + columns, [0, h]] as const] : []),
      ];
    };
    for (const n of front) for (const [other] of around(n)) if (known[other] !== 1) next.add(other);
    for (const n of next) {
      const from = around(n).filter(([other]) => known[other] === 1);
      for (const [x, gradient] of values) {
        // the slope of the known neighbour: the field beyond may be another cell's
        x[n] =
          from.reduce(
            (sum, [other, [dx, dy]]) =>
              sum +
              (x[other] as number) -
              dx * (gradient[2 * other] as number) -
              dy * (gradient[2 * other + 1] as number),
            0,
          ) / from.length;
      }
    }
    for (const n of next) known[n] = 1;
    front = [...next];
  }
}

/**
 * Fits s and t to the nodes with the given label. `way` holds the way lanes run (the lay) at every node, unit vectors
 * as x, y, x, y … Two rings of nodes beyond the cell are filled too, so that points near its border can be
 * interpolated.
 */
export function laneCoordinates(
  field: GrowthField,
  labels: Int32Array,
  label: number,
  way: Float64Array,
): LaneCoordinates {
  const n = field.columns * field.rows;
  const graph = graphOf(field, labels, label);
  const { node } = graph;
  const h = field.spacingCm;
  // a quarter turn
  const across = Float64Array.from(way, (_, k) => (k % 2 === 0 ? -(way[k + 1] as number) : (way[k - 1] as number)));
  /** Half the slopes of a node and its neighbour, towards it positive: what the least squares want of the sums. */
  const sourceOf = (along: Float64Array): Float64Array =>
    Float64Array.from(node, (own, k) => {
      const half = (other: number, axis: 0 | 1, sign: 1 | -1): number =>
        other === k
          ? 0
          : (sign * h * ((along[2 * own + axis] as number) + (along[2 * (node[other] as number) + axis] as number))) /
            2;
      return (
        half(graph.left[k] as number, 0, 1) +
        half(graph.right[k] as number, 0, -1) +
        half(graph.above[k] as number, 1, 1) +
        half(graph.below[k] as number, 1, -1)
      );
    });
  let [mx, my] = [0, 0];
  const known = new Uint8Array(n);
  for (const i of node) {
    known[i] = 1;
    mx += way[2 * i] as number;
    my += way[2 * i + 1] as number;
  }
  const length = Math.hypot(mx, my) || 1;
  const straight = (ax: number, ay: number): Float64Array =>
    Float64Array.from(node, (i) => h * (((i % field.columns) + 0.5) * ax + (Math.floor(i / field.columns) + 0.5) * ay));
  const fitted = (along: Float64Array, guess: Float64Array): Float64Array => {
    solve(graph, sourceOf(along), guess);
    const all = new Float64Array(n).fill(NaN);
    node.forEach((i, k) => {
      all[i] = guess[k] as number;
    });
    return all;
  };
  const s = fitted(way, straight(mx / length, my / length));
  const t = fitted(across, straight(-my / length, mx / length));
  spread(
    field,
    known,
    [
      [s, way],
      [t, across],
    ],
    2,
  );
  return { s, t };
}

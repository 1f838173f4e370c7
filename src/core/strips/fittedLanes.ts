// Lanes fitted to the field (layout B): bands of t across the growth, each connected part of a band cut by s into
// pieces that are neither too long nor turn too far. Cut on a fine lattice, so that neighbours share one border (error
// ≤ 1 mm); what the fit makes too large is cut anew with straight lanes.

import { angleBetweenDeg, connectedPieces, intersectRegions, regionArea, type Region, type Vec } from '../shared';
import { nodeAt, type GrowthField } from '../field';
import { layAndPull } from '../products';
import { labelRegions, type KnownBorder } from './cellBorders';
import type { CellLabels } from './cells';
import { cornerOf, fineGrid, type Fine } from './fineGrid';
import { laneCoordinates } from './laneCoordinates';
import { cutCell, isTooLarge, makePiece, USUAL_CUTTING, withoutHoles, type Cutting } from './lanes';
import type { LayoutInput, Piece } from './types';

/** A piece turns no further than this from end to end, degrees. */
const MOST_TURN_DEG = 50;
/** Borders are kept within this of the fitted ones, cm. */
const BORDER_CM = 0.08;
/** Bins along a lane in which its turn is measured, cm. */
const TURN_BIN_CM = 0.4;
const NONE = -1;

function rangeOf(values: Float64Array, nodes: Int32Array): readonly [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (let k = 0; k < nodes.length; k++) {
    const value = values[nodes[k] as number] as number; // nodes of this grid
    if (value < low) low = value;
    if (value > high) high = value;
  }
  return [low, high];
}

/** Connected nodes of one lane. */
function laneParts(fine: Fine, laneOf: Int32Array): readonly Int32Array[] {
  const { columns } = fine;
  const seen = new Uint8Array(laneOf.length);
  const queue = new Int32Array(laneOf.length);
  const parts: Int32Array[] = [];
  for (let start = 0; start < laneOf.length; start++) {
    const lane = laneOf[start] as number; // start < length
    if (lane === NONE || seen[start] === 1) continue;
    let length = 0;
    const reach = (n: number): void => {
      if (seen[n] === 1 || laneOf[n] !== lane) return;
      seen[n] = 1;
      queue[length++] = n;
    };
    reach(start);
    for (let head = 0; head < length; head++) {
      const n = queue[head] as number; // head < length; the grid has an empty margin, so neighbours never wrap
      reach(n - 1);
      reach(n + 1);
      reach(n - columns);
      reach(n + columns);
    }
    parts.push(queue.slice(0, length));
  }
  return parts;
}

/** Where a part is cut along s: evenly by length and turn together, as few as both allow. */
function cutsAlong(
  part: Int32Array,
  fine: Fine,
  field: GrowthField,
  longestCm: number,
  slack: number,
): readonly number[] {
  const [s0, s1] = rangeOf(fine.s, part);
  const bins = Math.max(1, Math.ceil((s1 - s0) / TURN_BIN_CM));
  const way = new Float64Array(2 * bins);
  for (const n of part) {
    const bin = Math.min(bins - 1, Math.floor(((fine.s[n] as number) - s0) / TURN_BIN_CM));
    const i = n % fine.columns;
    const node = nodeAt(field, [
      fine.origin[0] + (i + 0.5) * fine.spacingCm,
      fine.origin[1] + ((n - i) / fine.columns + 0.5) * fine.spacingCm,
    ]);
    way[2 * bin] = (way[2 * bin] as number) + (field.direction[2 * node] as number);
    way[2 * bin + 1] = (way[2 * bin + 1] as number) + (field.direction[2 * node + 1] as number);
  }
  const turns = [0];
  for (let b = 1; b < bins; b++) {
    const from: Vec = [way[2 * b - 2] as number, way[2 * b - 1] as number];
    const to: Vec = [way[2 * b] as number, way[2 * b + 1] as number];
    turns.push(
      (turns[b - 1] ?? 0) + (Math.hypot(...from) > 0 && Math.hypot(...to) > 0 ? angleBetweenDeg(from, to) : 0),
    );
  }
  const turnAll = turns[bins - 1] ?? 0;
  const byLength = Math.max(1, Math.ceil((s1 - s0) / longestCm - slack));
  const byTurn = Math.max(1, Math.ceil(turnAll / MOST_TURN_DEG - slack));
  const count = Math.max(byLength, byTurn);
  // effort grows with length and with turn, each as a share of what one piece may have
  const effort = turns.map(
    (turn, b) => ((b + 0.5) * TURN_BIN_CM) / longestCm + (byTurn > byLength ? turn / MOST_TURN_DEG : 0),
  );
  const all = effort[bins - 1] ?? 0;
  return Array.from({ length: count - 1 }, (_, k) => {
    if (byTurn <= byLength) return s0 + ((s1 - s0) * (k + 1)) / count;
    const at = effort.findIndex((e) => e >= (all * (k + 1)) / count);
    return s0 + (at + 0.5) * TURN_BIN_CM;
  });
}

/**
 * Carries labels a few nodes outward, so that what the lattice leaves of the ground's border belongs to the piece
 * beside it.
 */
function carryOutward(labels: Int32Array, columns: number, steps: number): void {
  const beside = [-1, 1, -columns, columns];
  let front: number[] = [];
  for (let n = columns; n < labels.length - columns; n++) {
    if (
      labels[n] !== NONE &&
      (labels[n - 1] === NONE || labels[n + 1] === NONE || labels[n - columns] === NONE || labels[n + columns] === NONE)
    ) {
      front.push(n);
    }
  }
  for (let step = 0; step < steps; step++) {
    const next: number[] = [];
    for (const n of front) {
      for (const d of beside) {
        if (labels[n + d] !== NONE) continue;
        labels[n + d] = labels[n] as number; // n < length
        next.push(n + d);
      }
    }
    front = next;
  }
}

interface Bounds {
  readonly lane: number;
  readonly fromS: number;
  readonly toS: number;
}

/** Where the borders of the pieces run: on the values of t and s at which they were cut. */
function fittedBorders(
  field: GrowthField,
  { fit, spacingCm }: Fine,
  bounds: readonly Bounds[],
  tAt: (lane: number) => number,
): KnownBorder {
  const { columns, spacingCm: h } = field;
  /** Two steps of Newton's method towards values = level, no further than a node away. */
  const onto = (values: Float64Array, level: number, at: Vec): Vec => {
    let [x, y] = at;
    for (let k = 0; k < 2; k++) {
      const [i, a] = cornerOf(columns, x, h);
      const [j, b] = cornerOf(field.rows, y, h);
      const k00 = j * columns + i;
      const v00 = values[k00] as number; // of this field; NaN where nothing is known, and then `steep` is NaN too
      const v10 = values[k00 + 1] as number;
      const v01 = values[k00 + columns] as number;
      const v11 = values[k00 + columns + 1] as number;
      const off = (1 - b) * ((1 - a) * v00 + a * v10) + b * ((1 - a) * v01 + a * v11) - level;
      const gx = ((1 - b) * (v10 - v00) + b * (v11 - v01)) / h;
      const gy = ((1 - a) * (v01 - v00) + a * (v11 - v10)) / h;
      const steep = gx * gx + gy * gy;
      if (!(steep > 0.04)) return at; // flat or unknown here
      x -= (off * gx) / steep;
      y -= (off * gy) / steep;
    }
    return Math.hypot(x - at[0], y - at[1]) <= 1.5 * spacingCm ? [x, y] : at;
  };
  /** The value of s at which two pieces of one lane part, if they do. */
  const partAt = (a: Bounds, b: Bounds): number | null => {
    if (a.lane !== b.lane) return null;
    if (a.toS === b.fromS) return a.toS;
    return b.toS === a.fromS ? b.toS : null;
  };
  const move = (at: Vec, one: number, other: number): Vec => {
    const [a, b] = [bounds[one], bounds[other]];
    if (!a || !b) return at;
    const s = partAt(a, b);
    if (s !== null) return onto(fit.s, s, at);
    return Math.abs(a.lane - b.lane) === 1 ? onto(fit.t, tAt(Math.max(a.lane, b.lane)), at) : at;
  };
  const meet = (at: Vec, around: readonly number[]): Vec => {
    const met = around.flatMap((label) => bounds[label] ?? []);
    const lanes = [...new Set(met.map((m) => m.lane))].sort((a, b) => a - b);
    if (met.length < around.length || lanes.length !== 2) return at;
    const t = tAt(lanes[1] ?? 0);
    const cuts = new Set(met.flatMap((a, i) => met.slice(i + 1).flatMap((b) => partAt(a, b) ?? [])));
    const [s] = cuts;
    const first = onto(fit.t, t, at);
    // where four pieces meet at two different cuts the corner stays on the lane's border
    return s === undefined || cuts.size > 1 ? first : onto(fit.t, t, onto(fit.s, s, first));
  };
  return { move, meet, toleranceCm: BORDER_CM };
}

/** One cell with its lattice, to be cut into few or more lanes. */
export interface FittedCell {
  readonly ground: Region;
  readonly fine: Fine;
}

/**
 * Fits lanes to one cell. `ground`: its hair less the clearance of marks; `inside`: nodes of the hair, since what lies
 * round it may turn otherwise.
 */
export function fitCell(
  ground: Region,
  label: number,
  cells: CellLabels,
  inside: Uint8Array,
  field: GrowthField,
  input: LayoutInput,
): FittedCell {
  const way = layField(field, input.way);
  const own = cells.labels.map((l, n) => (inside[n] === 1 ? l : NONE));
  return { ground, fine: fineGrid(ground, field, laneCoordinates(field, own, label, way)) };
}

/** The lay at every node, as the field holds the growth. */
function layField({ direction }: GrowthField, way: LayoutInput['way']): Float64Array {
  const [along, across] = layAndPull(way, [1, 0]).lay; // the lay is the growth turned by a fixed angle
  const out = new Float64Array(direction.length);
  for (let k = 0; k < out.length; k += 2) {
    const [x, y] = [direction[k] as number, direction[k + 1] as number]; // k + 1 < length
    out[k] = along * x - across * y;
    out[k + 1] = across * x + along * y;
  }
  return out;
}

/** Pieces of one cell, lanes following its growth. */
export function cutFitted(
  { ground, fine }: FittedCell,
  field: GrowthField,
  input: LayoutInput,
  cutting: Cutting,
): readonly Piece[] {
  const { nodes } = fine;
  if (nodes.length === 0) return [];
  const [widest, longest] = input.largestCm;
  const [t0, t1] = rangeOf(fine.t, nodes);
  const [s0, s1] = rangeOf(fine.s, nodes);
  // a rim that bends within its own width is one lane as long as it is no wider than that on the whole
  const acrossCm = input.meanErrorDeg === undefined ? t1 - t0 : regionArea(ground) / (s1 - s0 || 1);
  const lanes = Math.max(1, Math.ceil(acrossCm / widest - cutting.laneSlack) + cutting.extraLanes);
  const laneOf = new Int32Array(fine.columns * fine.rows).fill(NONE);
  for (const n of nodes) {
    laneOf[n] = Math.min(lanes - 1, Math.floor((((fine.t[n] as number) - t0) / (t1 - t0 || 1)) * lanes));
  }
  const labels = new Int32Array(laneOf.length).fill(NONE);
  const bounds: Bounds[] = [];
  for (const part of laneParts(fine, laneOf)) {
    const cuts = cutsAlong(part, fine, field, longest, cutting.pieceSlack);
    const first = bounds.length;
    const lane = laneOf[part[0] ?? 0] ?? 0;
    const edges = [-Infinity, ...cuts, Infinity];
    edges.slice(1).forEach((toS, k) => bounds.push({ lane, fromS: edges[k] ?? -Infinity, toS }));
    for (const n of part) {
      let piece = 0;
      while (piece < cuts.length && (fine.s[n] as number) >= (cuts[piece] as number)) piece++;
      labels[n] = first + piece;
    }
  }
  carryOutward(labels, fine.columns, 3);
  const borders = fittedBorders(field, fine, bounds, (lane) => t0 + ((t1 - t0) * lane) / lanes);
  const fallback = layAndPull(input.way, [0, 1]).lay;
  return [...labelRegions(fine, labels, borders)]
    .filter(([piece]) => piece !== NONE)
    .flatMap(([, region]) => connectedPieces(intersectRegions(region, ground)))
    .flatMap((part) => withoutHoles(part, makePiece(part[0] ?? [], field, input, fallback).lay))
    .map((ring) => makePiece(ring, field, input, fallback))
    .flatMap((piece) =>
      isTooLarge(piece, input.largestCm) ? cutCell([piece.outline], field, input, USUAL_CUTTING) : [piece],
    );
}

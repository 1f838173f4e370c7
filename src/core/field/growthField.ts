// Growth field: where the hair tip points, over a zone's sheet. Combed strokes weigh 1/(d² + 1) with d in centimetres,
// the zone's own pattern 0.0025 everywhere, so that two strokes turn a whole chest. Unit vectors on a grid of at most 5
// mm. A stroke with a share adds a second direction near it: crossing.ts.

import { clamp, unit, type Vec } from '../shared';
import { defaultGrowthAt, type Sheet, type Side, type Zone } from '../anatomy';
import {
  crossingAtPoint,
  crossingReachCm,
  LEAST_CROSSING,
  MOST_CROSSING,
  type Crossing,
  type CrossingStroke,
} from './crossing';

export interface Stroke {
  /** Sheet centimetres; anywhere on the sheet's box. */
  readonly at: Vec;
  /** Where the hair tip points; any length but zero. */
  readonly towards: Vec;
  /** Set where only this share of the hairs (0–0.5) stands this way, crossing the rest. */
  readonly share?: number | undefined;
}

export interface GrowthField {
  readonly spacingCm: number;
  readonly columns: number;
  readonly rows: number;
  /** [dx, dy] of every node, row by row; the node (i, j) stands at ((i + ½)·spacing, (j + ½)·spacing). */
  readonly direction: Float64Array;
  /** Share of the weight that comes from strokes, 0–1. */
  readonly confidence: Float64Array;
  /** Null where nothing crosses. */
  readonly crossing: Crossing | null;
}

const DEFAULT_WEIGHT = 0.0025;
const WIDEST_SPACING_CM = 0.5;
const NARROWEST_SPACING_CM = 0.15;
/** A change of direction above this between neighbours is a parting, degrees. */
export const PARTING_DEG = 60;

/**
 * The field of a zone's sheet. Strokes without a direction are left out (input is checked before).
 * Node count is at most about (width / 0.15) × (height / 0.15) on the smallest zones, spacing 5 mm on the large ones.
 */
export function growthField(zone: Zone, side: Side, sheet: Sheet, strokes: readonly Stroke[]): GrowthField {
  const live = liveField(zone, side, sheet);
  live.put(strokes);
  return live.field;
}

/**
 * A field that follows its strokes: only what came or went is added up anew, so that combing keeps pace with the hand.
 */
export interface LiveField {
  /** Changed in place by `put`. */
  readonly field: GrowthField;
  /** Sets the strokes. Those that are the same objects as before cost nothing. */
  readonly put: (strokes: readonly Stroke[]) => void;
}

export function liveField(zone: Zone, side: Side, sheet: Sheet): LiveField {
  const spacingCm = clamp(Math.min(sheet.widthCm, sheet.heightCm) / 16, NARROWEST_SPACING_CM, WIDEST_SPACING_CM);
  const columns = Math.ceil(sheet.widthCm / spacingCm);
  const rows = Math.ceil(sheet.heightCm / spacingCm);
  const nodes = columns * rows;
  const direction = new Float64Array(2 * nodes);
  const confidence = new Float64Array(nodes);
  const usual = new Float64Array(2 * nodes);
  const sums = new Float64Array(3 * nodes); // weighted x, y and the weight itself
  const field: { -readonly [K in keyof GrowthField]: GrowthField[K] } = {
    spacingCm,
    columns,
    rows,
    direction,
    confidence,
    crossing: null,
  };
  const centre = (n: number): Vec => [((n % columns) + 0.5) * spacingCm, (Math.floor(n / columns) + 0.5) * spacingCm];
  for (let n = 0; n < nodes; n++) usual.set(unit(defaultGrowthAt(zone, side, sheet, centre(n))) ?? [0, 1], 2 * n);
  let known: ReadonlyMap<Stroke, Vec> = new Map();
  let fresh = true;

  /** Adds a stroke to every node's sums, or takes it away. */
  function weigh(at: Vec, [tx, ty]: Vec, sign: 1 | -1): void {
    for (let j = 0, n = 0; j < rows; j++) {
      const dy = (j + 0.5) * spacingCm - at[1];
      for (let i = 0; i < columns; i++, n++) {
        const dx = (i + 0.5) * spacingCm - at[0];
        const w = sign / (dx * dx + dy * dy + 1);
        sums[3 * n] = (sums[3 * n] as number) + w * tx; // n < nodes
        sums[3 * n + 1] = (sums[3 * n + 1] as number) + w * ty;
        sums[3 * n + 2] = (sums[3 * n + 2] as number) + w;
      }
    }
  }

  /** Where the weighted sum cancels the nearest stroke decides. */
  function nearest(at: Vec): Vec | null {
    let [best, way]: [number, Vec | null] = [Infinity, null];
    for (const [s, towards] of known) {
      const d2 = (at[0] - s.at[0]) ** 2 + (at[1] - s.at[1]) ** 2;
      if (s.share === undefined && d2 < best) [best, way] = [d2, towards];
    }
    return way;
  }

  function turn(): void {
    for (let n = 0; n < nodes; n++) {
      const [ux, uy] = [usual[2 * n] as number, usual[2 * n + 1] as number]; // n < nodes
      const [x, y, weight] = [
        (sums[3 * n] as number) + DEFAULT_WEIGHT * ux,
        (sums[3 * n + 1] as number) + DEFAULT_WEIGHT * uy,
        Math.max(0, sums[3 * n + 2] as number),
      ];
      const length = Math.sqrt(x * x + y * y);
      const clear = length > 1e-9 * (weight + DEFAULT_WEIGHT);
      const [cx, cy] = clear ? [x / length, y / length] : (nearest(centre(n)) ?? [ux, uy]);
      direction[2 * n] = cx;
      direction[2 * n + 1] = cy;
      confidence[n] = weight / (weight + DEFAULT_WEIGHT);
    }
  }

  function cross(): void {
    const crossed = [...known].flatMap(([s, towards]): CrossingStroke[] =>
      s.share === undefined ? [] : [{ at: s.at, towards, share: Math.min(MOST_CROSSING, s.share) }],
    );
    if (crossed.length === 0) {
      field.crossing = null;
      return;
    }
    const second = field.crossing ?? { direction: new Float64Array(2 * nodes), share: new Float64Array(nodes) };
    const reach = crossingReachCm(sheet.widthCm, sheet.heightCm);
    for (let n = 0; n < nodes; n++) {
      const { towards, share } = crossingAtPoint(centre(n), crossed, reach, nodeDirection(field, n));
      second.direction[2 * n] = towards[0];
      second.direction[2 * n + 1] = towards[1];
      second.share[n] = share;
    }
    field.crossing = second;
  }

  function put(strokes: readonly Stroke[]): void {
    const next = new Map(
      strokes.flatMap((s): [Stroke, Vec][] => {
        const towards = known.get(s) ?? unit(s.towards);
        return towards ? [[s, towards]] : [];
      }),
    );
    let turned = fresh;
    for (const [s, towards] of known) {
      if (s.share === undefined && !next.has(s)) {
        weigh(s.at, towards, -1);
        turned = true;
      }
    }
    for (const [s, towards] of next) {
      if (s.share === undefined && !known.has(s)) {
        weigh(s.at, towards, 1);
        turned = true;
      }
    }
    known = next;
    fresh = false;
    if (turned) turn();
    cross();
  }
  return { field, put };
}

/** Index of the node nearest to a point of the sheet. */
export function nodeAt(field: GrowthField, at: Vec): number {
  const i = clamp(Math.floor(at[0] / field.spacingCm), 0, field.columns - 1);
  const j = clamp(Math.floor(at[1] / field.spacingCm), 0, field.rows - 1);
  return j * field.columns + i;
}

export const nodeCentre = (field: GrowthField, node: number): Vec => [
  ((node % field.columns) + 0.5) * field.spacingCm,
  (Math.floor(node / field.columns) + 0.5) * field.spacingCm,
];

/** Unit direction of a node. */
export const nodeDirection = (field: GrowthField, node: number): Vec => [
  field.direction[2 * node] ?? 0,
  field.direction[2 * node + 1] ?? 1,
];

/** Unit direction at the node nearest to a point; partings stay sharp. */
export const growthAt = (field: GrowthField, at: Vec): Vec => nodeDirection(field, nodeAt(field, at));

/** Mean direction over points; null where the directions cancel. */
export function meanDirection(field: GrowthField, points: readonly Vec[]): Vec | null {
  let [x, y] = [0, 0];
  for (const p of points) {
    const [dx, dy] = growthAt(field, p);
    x += dx;
    y += dy;
  }
  return Math.hypot(x, y) > 1e-6 * points.length ? unit([x, y]) : null;
}

/** The second direction at the node nearest to a point and its share; null where nothing crosses. */
export function crossingAt(field: GrowthField, at: Vec): { readonly towards: Vec; readonly share: number } | null {
  if (!field.crossing) return null;
  const node = nodeAt(field, at);
  const share = field.crossing.share[node] ?? 0;
  return share > 0
    ? { towards: [field.crossing.direction[2 * node] ?? 0, field.crossing.direction[2 * node + 1] ?? 1], share }
    : null;
}

/** What crosses over points, taken together; null below the share that anyone would act on. */
export function meanCrossing(
  field: GrowthField,
  points: readonly Vec[],
): { readonly towards: Vec; readonly share: number } | null {
  if (!field.crossing || points.length === 0) return null;
  let [x, y, share] = [0, 0, 0];
  for (const p of points) {
    const c = crossingAt(field, p);
    if (!c) continue;
    x += c.share * c.towards[0];
    y += c.share * c.towards[1];
    share += c.share;
  }
  const towards = unit([x, y]);
  return towards && share / points.length >= LEAST_CROSSING ? { towards, share: share / points.length } : null;
}

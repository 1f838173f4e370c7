// Growth field: where the hair tip points, over a zone's sheet. Combed strokes weigh 1/(d² + 1) with d in centimetres, the
// zone's own pattern 0.0025 everywhere, so that two strokes turn a whole chest. Unit vectors on a grid of at most 5 mm.
// Where the weighted sum cancels the nearest stroke decides. A stroke with a share adds a second direction near it: crossing.ts.

import { clamp, unit, type Vec } from '../shared';
import { defaultGrowthAt, type Sheet, type Side, type Zone } from '../anatomy';
import { crossingAtPoint, crossingReachCm, LEAST_CROSSING, MOST_CROSSING, type Crossing, type CrossingStroke } from './crossing';

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

/** Direction at one point; `strokes` with unit `towards`. */
function blend(at: Vec, strokes: readonly Stroke[], fallback: Vec): { direction: Vec; confidence: number } {
  let [x, y, weight] = [DEFAULT_WEIGHT * fallback[0], DEFAULT_WEIGHT * fallback[1], 0];
  let nearest = { d2: Infinity, towards: fallback };
  for (const stroke of strokes) {
    const d2 = (at[0] - stroke.at[0]) ** 2 + (at[1] - stroke.at[1]) ** 2;
    const w = 1 / (d2 + 1);
    x += w * stroke.towards[0];
    y += w * stroke.towards[1];
    weight += w;
    if (d2 < nearest.d2) nearest = { d2, towards: stroke.towards };
  }
  const length = Math.hypot(x, y);
  const direction: Vec = length > 1e-9 * (weight + DEFAULT_WEIGHT) ? [x / length, y / length] : nearest.towards;
  return { direction, confidence: weight / (weight + DEFAULT_WEIGHT) };
}

/**
 * The field of a zone's sheet. Strokes without a direction are left out (input is checked before).
 * Node count is at most about (width / 0.15) × (height / 0.15) on the smallest zones, spacing 5 mm on the large ones.
 */
export function growthField(zone: Zone, side: Side, sheet: Sheet, strokes: readonly Stroke[]): GrowthField {
  const spacingCm = clamp(Math.min(sheet.widthCm, sheet.heightCm) / 16, NARROWEST_SPACING_CM, WIDEST_SPACING_CM);
  const columns = Math.ceil(sheet.widthCm / spacingCm);
  const rows = Math.ceil(sheet.heightCm / spacingCm);
  const direction = new Float64Array(2 * columns * rows);
  const confidence = new Float64Array(columns * rows);
  const combed: Stroke[] = [];
  const crossed: CrossingStroke[] = [];
  for (const s of strokes) {
    const towards = unit(s.towards);
    if (!towards) continue;
    if (s.share === undefined) combed.push({ at: s.at, towards });
    else crossed.push({ at: s.at, towards, share: Math.min(MOST_CROSSING, s.share) });
  }
  const second = crossed.length === 0 ? null : { direction: new Float64Array(2 * columns * rows), share: new Float64Array(columns * rows) };
  const reach = crossingReachCm(sheet.widthCm, sheet.heightCm);
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      const at: Vec = [(i + 0.5) * spacingCm, (j + 0.5) * spacingCm];
      const fallback = unit(defaultGrowthAt(zone, side, sheet, at)) ?? [0, 1];
      const node = blend(at, combed, fallback);
      direction[2 * (j * columns + i)] = node.direction[0];
      direction[2 * (j * columns + i) + 1] = node.direction[1];
      confidence[j * columns + i] = node.confidence;
      if (!second) continue;
      const { towards, share } = crossingAtPoint(at, crossed, reach, node.direction);
      second.direction[2 * (j * columns + i)] = towards[0];
      second.direction[2 * (j * columns + i) + 1] = towards[1];
      second.share[j * columns + i] = share;
    }
  }
  return { spacingCm, columns, rows, direction, confidence, crossing: second };
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
export const nodeDirection = (field: GrowthField, node: number): Vec => [field.direction[2 * node] ?? 0, field.direction[2 * node + 1] ?? 1];

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
  return share > 0 ? { towards: [field.crossing.direction[2 * node] ?? 0, field.crossing.direction[2 * node + 1] ?? 1], share } : null;
}

/** What crosses over points, taken together; null below the share that anyone would act on. */
export function meanCrossing(field: GrowthField, points: readonly Vec[]): { readonly towards: Vec; readonly share: number } | null {
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

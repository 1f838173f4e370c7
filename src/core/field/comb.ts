// Combing: a drag turns the growth under the brush. Strokes under the brush are replaced by ones along the drag; the
// first drag pins the rest of the zone with strokes along the field as it stands, so that combing one tuft does not
// turn the whole zone.

import { add, clamp, distance, perpendicular, roundTo, scale, sub, unit, type Vec } from '../shared';
import type { Sheet } from '../anatomy';
import { growthAt, type GrowthField, type Stroke } from './growthField';

export interface Drag {
  readonly from: Vec;
  readonly to: Vec;
  /** Brush radius, cm. */
  readonly radiusCm: number;
  /** Only this share of the hairs is turned and crosses the rest; absent = all of them. */
  readonly share?: number | undefined;
}

/** Strokes beside the drag's middle line, as shares of the radius. */
const ACROSS = [-0.7, -0.35, 0, 0.35, 0.7] as const;
/** Older strokes closer than this share of the radius give way. */
const CLEARS = 0.95;
/**
 * Strokes of like direction give way only to a new one right beside them: combing along a line builds up, across it
 * replaces.
 */
const CLEARS_LIKE = 0.3;
const LIKE_COSINE = 0.9;

const rounded = (at: Vec, towards: Vec, share?: number): Stroke => ({
  at: [roundTo(at[0], 2), roundTo(at[1], 2)],
  towards: [roundTo(towards[0], 3), roundTo(towards[1], 3)],
  ...(share === undefined ? {} : { share }),
});

/** Strokes on an even lattice that hold the field where it is. */
export function pinField(field: GrowthField, sheet: Sheet): readonly Stroke[] {
  const step = clamp(Math.min(sheet.widthCm, sheet.heightCm) / 4, 0.6, 3);
  const [nx, ny] = [Math.max(2, Math.round(sheet.widthCm / step)), Math.max(2, Math.round(sheet.heightCm / step))];
  return Array.from({ length: nx * ny }, (_, k) => {
    const at: Vec = [(((k % nx) + 0.5) * sheet.widthCm) / nx, ((Math.floor(k / nx) + 0.5) * sheet.heightCm) / ny];
    return rounded(at, growthAt(field, at));
  });
}

/**
 * The strokes after one piece of a drag; unchanged where the drag has no direction. Crossing hairs and the rest are
 * combed apart: a drag of the one leaves the strokes of the other.
 */
export function comb(strokes: readonly Stroke[], field: GrowthField, sheet: Sheet, drag: Drag): readonly Stroke[] {
  const towards = unit(sub(drag.to, drag.from));
  if (!towards) return strokes;
  const { share } = drag;
  const isOwn = (s: Stroke): boolean => (s.share === undefined) === (share === undefined);
  const pinned = share !== undefined || strokes.some(isOwn) ? strokes : [...pinField(field, sheet), ...strokes];
  const side = perpendicular(towards);
  const inBox = ([x, y]: Vec): boolean => x >= 0 && y >= 0 && x <= sheet.widthCm && y <= sheet.heightCm;
  const fresh = ACROSS.map((k) => add(drag.to, scale(side, k * drag.radiusCm)))
    .filter(inBox)
    .map((at) => rounded(at, towards, share));
  const near = (s: Stroke): boolean => {
    if (s.towards[0] * towards[0] + s.towards[1] * towards[1] <= LIKE_COSINE) {
      return distance(s.at, drag.to) < CLEARS * drag.radiusCm;
    }
    return fresh.some((f) => distance(s.at, f.at) < CLEARS_LIKE * drag.radiusCm);
  };
  return [...pinned.filter((s) => !isOwn(s) || !near(s)), ...fresh];
}

/** Strokes without those under the brush. */
export const eraseStrokes = (strokes: readonly Stroke[], at: Vec, radiusCm: number): readonly Stroke[] =>
  strokes.filter((s) => Math.hypot(s.at[0] - at[0], s.at[1] - at[1]) >= radiusCm);

/** The chart of the other side: mirrored in the sheet's upright middle. */
export const mirrorStrokes = (strokes: readonly Stroke[], widthCm: number): readonly Stroke[] =>
  strokes.map((s) => rounded([widthCm - s.at[0], s.at[1]], [0 - s.towards[0], s.towards[1]], s.share));

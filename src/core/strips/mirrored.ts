// Ground that is the same left and right is laid the same left and right: the hand learns one half and works the other
// in the mirror. Where nothing is laid across the upright middle but its own mirror image, a half is laid anew and
// taken for both.

import {
  angleBetweenDeg,
  boxOf,
  intersectRegions,
  regionArea,
  subtractRegions,
  type Box,
  type Region,
  type Ring,
  type Vec,
} from '../shared';
import { growthAt, nodeCentre, nodeDirection, type GrowthField } from '../field';
import { makePiece } from './lanes';
import type { LayoutInput, Piece } from './types';

/** Halves of hair may differ by this share of its area, their growth by so many degrees in the mean. */
const SAME_AREA = 0.005;
const SAME_GROWTH_DEG = 2;
/** A strip counts as another's image up to this share of its area. */
const SAME_STRIP = 0.03;
/** Boxes of two images differ by less, cm. */
const NEAR_CM = 0.6;
/** The middle is told to the nearest node; beyond that a strip crosses it, cm. */
const OVER_CM = 0.05;
/** Strips that working in the mirror is worth. */
const WORTH = 0.5;

/** A ring turned over in an upright line; turned over, it runs the other way round: its points are taken backwards. */
export const mirrorRing = (ring: Ring, middle: number): Ring =>
  ring.map(([x, y]): Vec => [2 * middle - x, y]).reverse();

function isSame(hair: Region, middle: number, field: GrowthField): boolean {
  const other = hair.map((ring) => mirrorRing(ring, middle));
  if (regionArea(subtractRegions(hair, other)) > SAME_AREA * regionArea(hair)) return false;
  let [sum, n] = [0, 0];
  for (let node = 0; node < field.columns * field.rows; node++) {
    const at = nodeCentre(field, node);
    // beside the middle itself a node's twin may be across a parting
    if (at[0] > middle - field.spacingCm) continue;
    const [dx, dy] = growthAt(field, [2 * middle - at[0], at[1]]);
    sum += angleBetweenDeg(nodeDirection(field, node), [-dx, dy]);
    n++;
  }
  return n > 0 && sum / n <= SAME_GROWTH_DEG;
}

/** The judge and the cutter of `layOut`. */
export interface Cutter {
  readonly costOf: (pieces: readonly Piece[]) => number;
  readonly cut: (ground: Region) => readonly Piece[];
}

/** The pieces, or the first half that, laid anew and mirrored onto the other, costs at most `WORTH` more. */
export function inMirror(
  pieces: readonly Piece[],
  hair: Region,
  field: GrowthField,
  input: LayoutInput,
  { costOf, cut }: Cutter,
): readonly Piece[] {
  if (pieces.length < 2) return pieces;
  const { x0, x1, y0, y1 } = boxOf(hair);
  const middle = (x0 + x1) / 2;
  const boxed = pieces.map((piece) => ({ piece, box: boxOf([piece.outline]) }));
  const near = (a: number, b: number): boolean => Math.abs(a - b) < NEAR_CM;
  /** Boxes first: areas are costly to cut. */
  const isTwin = (a: Piece, b: Piece, boxA: Box, boxB: Box): boolean =>
    Math.abs(a.areaCm2 - b.areaCm2) <= SAME_STRIP * a.areaCm2 &&
    near(boxA.y0, boxB.y0) &&
    near(boxA.y1, boxB.y1) &&
    near(2 * middle - boxA.x0, boxB.x1) &&
    near(2 * middle - boxA.x1, boxB.x0) &&
    regionArea(subtractRegions([mirrorRing(a.outline, middle)], [b.outline])) <= SAME_STRIP * a.areaCm2;
  const across = boxed.filter(
    ({ box }) => box.x0 < middle - field.spacingCm - OVER_CM && box.x1 > middle + field.spacingCm + OVER_CM,
  );
  // one that crosses stays where it is its own mirror image, as along the spine
  if (
    across.some(({ piece, box }) => !isTwin(piece, piece, box, box)) ||
    !isSame(hair, middle, field) ||
    boxed.every((a) => boxed.some((b) => isTwin(a.piece, b.piece, a.box, b.box)))
  ) {
    return pieces;
  }
  const free = subtractRegions(
    hair,
    across.map((p) => p.piece.outline),
  );
  const halves: readonly Ring[] = [
    [
      [x0, y0],
      [middle, y0],
      [middle, y1],
      [x0, y1],
    ],
    [
      [middle, y0],
      [x1, y0],
      [x1, y1],
      [middle, y1],
    ],
  ];
  const most = costOf(pieces) + WORTH;
  // the first half that is good enough: laying costs time
  for (const ring of halves) {
    const half = cut(intersectRegions(free, [ring]));
    const made = [
      ...across.map((p) => p.piece),
      ...half,
      ...half.map((p) => makePiece(mirrorRing(p.outline, middle), field, input, [-p.growth[0], p.growth[1]])),
    ];
    if (costOf(made) <= most) return made;
  }
  return pieces;
}

// What is hardly worth a strip of its own: joined to its neighbour where the joined strip is not too large, else the
// ground of both is shared out evenly.

import {
  angleBetweenDeg,
  connectedPieces,
  extentAlong,
  intersectRegions,
  perpendicular,
  uniteRings,
  type Ring,
  type Vec,
} from '../shared';
import type { GrowthField } from '../field';
import { angleErrors } from './angleErrors';
import { band, CRUMB_CM2, isSliver, isTooLarge, JOIN_EXCESS, makePiece, mostLengthCm, sharedBorder } from './lanes';
import { simpleRings } from './simpleRings';
import type { LayoutInput, Piece } from './types';

/** Neighbours that stand no further apart are joined, degrees; others where the joined strip still follows the hair. */
const JOIN_TURN_DEG = 35;
const FOLLOWS_DEG = 13;
const FOLLOWS_OVER40 = 0.03;
/** What is laid by eye may turn further. */
const BY_EYE_DEG = 18;
/** A strip bends within its width by this much at most. */
const BEND = 1.35;

function follows(pieces: readonly Piece[], field: GrowthField, mostDeg = FOLLOWS_DEG): boolean {
  const { meanDeg, over40 } = angleErrors(pieces, field);
  return meanDeg <= mostDeg && over40 <= FOLLOWS_OVER40;
}

/** Neither too large nor bent beyond what a hand lays as one. */
function isLaid(piece: Piece, { largestCm }: LayoutInput): boolean {
  const [t0, t1] = extentAlong([piece.outline], perpendicular(piece.lay));
  return !isTooLarge(piece, largestCm) && t1 - t0 <= BEND * JOIN_EXCESS * largestCm[0];
}

function unionOf(a: Piece, b: Piece): Ring | null {
  const [ring, more] = uniteRings([a.outline, b.outline]).flatMap(simpleRings);
  return ring && !more ? ring : null;
}

/** One strip of both, if a hand can lay it; a crumb is joined to any. */
function joined(sliver: Piece, to: Piece, field: GrowthField, input: LayoutInput): Piece | null {
  const ring = unionOf(sliver, to);
  if (!ring) return null;
  const whole = makePiece(ring, field, input, to.growth);
  if (sliver.areaCm2 < CRUMB_CM2) return whole;
  if (to.byEye) return isLaid(whole, input) && follows([whole], field, BY_EYE_DEG) ? { ...whole, byEye: true } : null;
  const alike = angleBetweenDeg(to.growth, sliver.growth) <= JOIN_TURN_DEG;
  return isLaid(whole, input) && (alike || follows([whole], field)) ? whole : null;
}

/** A ring cut in the middle of its extent along an axis. */
function halves(ring: Ring, axis: Vec, like: Piece, field: GrowthField, input: LayoutInput): readonly Piece[] {
  const far = 1e3;
  const [low, high] = extentAlong([ring], axis);
  const middle = (low + high) / 2;
  return [band(axis, -far, middle, -far, far), band(axis, middle, far, -far, far)]
    .flatMap((half) => connectedPieces(intersectRegions([ring], [half])))
    .flatMap(([outer]) => (outer ? simpleRings(outer) : []))
    .map((half) => makePiece(half, field, input, like.growth));
}

/** Two strips of the ground of both, cut in the middle along or across, of which none is a sliver or too large. */
function sharedOut(sliver: Piece, beside: Piece, field: GrowthField, input: LayoutInput): readonly Piece[] | null {
  const ring = beside.byEye ? null : unionOf(sliver, beside);
  if (!ring) return null;
  const { lay } = makePiece(ring, field, input, beside.growth);
  const good = (two: readonly Piece[]): boolean =>
    two.length === 2 && two.every((p) => !isSliver(p, input.largestCm) && isLaid(p, input)) && follows(two, field);
  return [lay, perpendicular(lay)].map((axis) => halves(ring, axis, beside, field, input)).find(good) ?? null;
}

/** Strips that border a sliver, the longest border first. */
function bordering(sliver: Piece, list: readonly Piece[]): readonly Piece[] {
  return list
    .filter((p) => p !== sliver)
    .map((p) => ({ p, border: sharedBorder(sliver.outline, p.outline) }))
    .filter(({ border }) => border > 0.05)
    .sort((x, y) => y.border - x.border)
    .map(({ p }) => p);
}

/** What comes of a sliver and a neighbour; null where they do not go together. */
type Together = (sliver: Piece, beside: Piece) => readonly Piece[] | null;

/** Every sliver, the smallest first, with the first neighbour that it goes together with; others are kept. */
function dissolved(pieces: readonly Piece[], input: LayoutInput, together: Together): readonly Piece[] {
  let list = pieces;
  const settled = new Set<Piece>();
  for (;;) {
    const sliver = list
      .filter((p) => isSliver(p, input.largestCm) && !settled.has(p))
      .sort((a, b) => a.areaCm2 - b.areaCm2)[0];
    if (!sliver) return list;
    settled.add(sliver);
    for (const p of bordering(sliver, list)) {
      const made = together(sliver, p);
      if (!made) continue;
      list = [...list.filter((x) => x !== sliver && x !== p), ...made];
      break;
    }
  }
}

/** Slivers joined while the result stays a strip that a hand can lay; others are kept, crumbs dropped. */
export function joinSlivers(pieces: readonly Piece[], field: GrowthField, input: LayoutInput): readonly Piece[] {
  const list = dissolved(pieces, input, (sliver, p) => {
    const whole = joined(sliver, p, field, input);
    return whole && [whole];
  });
  // on tiny ground even a crumb counts
  const crumbCm2 = Math.min(CRUMB_CM2, 0.01 * list.reduce((s, p) => s + p.areaCm2, 0));
  return list.filter((p) => p.areaCm2 >= crumbCm2);
}

/** Slivers that no neighbour can take whole: the ground of both is shared out evenly. */
export const shareOutSlivers = (pieces: readonly Piece[], field: GrowthField, input: LayoutInput): readonly Piece[] =>
  dissolved(pieces, input, (sliver, p) => sharedOut(sliver, p, field, input));

/** What has come out longer than a hand pulls is cut in the middle. */
export function cutTooLong(pieces: readonly Piece[], field: GrowthField, input: LayoutInput): readonly Piece[] {
  const mostCm = mostLengthCm(input.largestCm[1]) + 1e-6;
  return pieces.flatMap((p) => (p.lengthCm > mostCm && !p.alongRim ? halves(p.outline, p.lay, p, field, input) : [p]));
}

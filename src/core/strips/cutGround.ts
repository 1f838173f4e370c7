// Ground cut into pieces: what a zone owes itself first, then cells of like growth in straight lanes (layout A) or in
// lanes fitted to the field (layout B), fans round whorls, half by half where a middle line parts it. The cheaper is
// taken (layoutCost.ts); a tie goes to the straight ones.

import {
  angleBetweenDeg,
  connectedPieces,
  intersectRegions,
  perpendicular,
  regionArea,
  subtractRegions,
  type Region,
} from '../shared';
import type { GrowthField } from '../field';
import { angleErrors } from './angleErrors';
import { labelRegions } from './cellBorders';
import { FLOOD_CROSSED_DEG, FLOOD_DEG, growthCells, nodesInside, type CellLabels } from './cells';
import { cutFitted, fitCell } from './fittedLanes';
import { band, cutCell, GENEROUS_CUTTING, makePiece, USUAL_CUTTING, withoutHoles, type Cutting } from './lanes';
import { costOf, MEAN_DEG, mostStrips } from './layoutCost';
import { inMirror } from './mirrored';
import { cutTooLong, joinSlivers, shareOutSlivers } from './slivers';
import { withoutTongues } from './tongues';
import type { LayoutInput, Piece } from './types';
import { fansOf } from './whorls';

/** Cells of fitted lanes turn this far from their seed. */
const FITTED_FLOOD_DEG = 55;
/** Lanes are fitted where straight ones cost this much more than their strips alone. */
const FITTED_FROM = 1.2;
/** More strips than this times the least number by area: longer pieces are tried. */
const MANY = 1.25;

/** Fitted lanes must save this much: straight ones are easier to lay. */
const FITTED_GAIN = 0.5;
/** Growth may be off the planned run by this, and its mean error within a planned piece, degrees. */
const PLANNED_OFF_DEG = 40;
const PLANNED_MEAN_DEG = 13;

interface Attempt {
  readonly pieces: readonly Piece[];
  readonly cost: number;
}

/** Pieces of ground in one or more parts; `near` limits the cells to its nodes. */
function cut(hair: Region, near: Region, field: GrowthField, input: LayoutInput): readonly Piece[] {
  const floodDeg = input.way === 'crossed' ? FLOOD_CROSSED_DEG : FLOOD_DEG;
  const stripArea = input.largestCm[0] * input.largestCm[1];
  const inside = nodesInside(field, near);
  const cellsOf = (cells: CellLabels): readonly { readonly label: number; readonly ground: Region }[] =>
    [...labelRegions(field, cells.labels)]
      .map(([label, cell]) => ({ label, ground: intersectRegions(cell, hair) }))
      .filter((c) => c.ground.length > 0);
  const groundsAt = (deg: number, joinShare?: number): readonly Region[] =>
    cellsOf(growthCells(field, inside, stripArea, deg, joinShare)).map((c) => c.ground);
  const coarse = groundsAt(floodDeg);
  const finished = (raw: readonly Piece[]): Attempt => {
    const pieces = joinSlivers(raw, field, input);
    return { pieces, cost: costOf(pieces, field, input) };
  };
  const attempt = (cutting: Cutting, grounds = coarse): Attempt =>
    finished(grounds.flatMap((ground) => cutCell(ground, field, input, cutting)));
  let best = attempt(USUAL_CUTTING);
  const tooMany = (): boolean => best.pieces.length > mostStrips(regionArea(hair), input.largestCm);
  const better = (other: Attempt, by = 0): void => {
    if (other.cost < best.cost - by || (other.cost <= best.cost && other.pieces.length < best.pieces.length)) {
      best = other;
    }
  };
  better(attempt({ ...USUAL_CUTTING, extraLanes: 1 }));
  if (best.pieces.length > (MANY * regionArea(hair)) / stripArea) {
    better(attempt({ ...USUAL_CUTTING, pieceSlack: GENEROUS_CUTTING.pieceSlack }));
  }
  // whorls and sharp bends: smaller cells follow the growth more closely
  if (angleErrors(best.pieces, field).meanDeg > (input.meanErrorDeg ?? MEAN_DEG)) {
    better(attempt(USUAL_CUTTING, groundsAt(0.65 * floodDeg, 0.25)));
    better(attempt(USUAL_CUTTING, groundsAt(0.45 * floodDeg, 0.15)));
  }
  // straight lanes that follow the growth this well cannot be bettered by more than a strip
  if (best.cost > best.pieces.length + FITTED_FROM || tooMany()) {
    // where hair grows any way the lanes lead
    const wide = growthCells(field, inside, stripArea, input.meanErrorDeg === undefined ? FITTED_FLOOD_DEG : 180);
    const cells = cellsOf(wide).map((c) => fitCell(c.ground, c.label, wide, inside, field, input));
    const fitted = (cutting: Cutting): Attempt =>
      finished(cells.flatMap((cell) => cutFitted(cell, field, input, cutting)));
    better(fitted(USUAL_CUTTING), FITTED_GAIN);
    if (best.cost > best.pieces.length + FITTED_FROM) better(fitted({ ...USUAL_CUTTING, extraLanes: 1 }), FITTED_GAIN);
    if (best.pieces.length > (MANY * regionArea(hair)) / stripArea) {
      better(fitted({ ...USUAL_CUTTING, pieceSlack: GENEROUS_CUTTING.pieceSlack }));
    }
  }
  if (tooMany()) better(attempt(GENEROUS_CUTTING));
  return best.pieces;
}

/** Planned grounds that the growth allows, as pieces, and what is left of the hair. */
function cutPlanned(
  hair: Region,
  field: GrowthField,
  input: LayoutInput,
): { readonly pieces: readonly Piece[]; readonly rest: Region } {
  let rest = hair;
  const pieces: Piece[] = [];
  for (const { ring, whole, along, alongRim } of input.planned ?? []) {
    const ground = intersectRegions(hair, [ring]);
    if (ground.length === 0) continue;
    const own = whole
      ? connectedPieces(ground)
          .flatMap((part) => withoutHoles(part, along ?? perpendicular([0, 1])))
          .map((r) => ({ ...makePiece(r, field, input, along ?? [0, 1]), ...(alongRim ? { alongRim } : {}) }))
      : cutCell(ground, field, input, USUAL_CUTTING);
    const errors = angleErrors(own, field);
    const runs = along === null || own.every((p) => angleBetweenDeg(p.growth, along) <= PLANNED_OFF_DEG);
    if (!runs || errors.meanDeg > PLANNED_MEAN_DEG || errors.over40 > 0.03) continue;
    pieces.push(...own);
    rest = subtractRegions(rest, [ring]);
  }
  return { pieces, rest };
}

/** Where hair turns in circles: fans round their middles and the rest cut as ever, where that is better. */
function cutRoundWhorls(hair: Region, near: Region, field: GrowthField, input: LayoutInput): readonly Piece[] {
  const plain = cut(hair, near, field, input);
  const fans = fansOf(field, hair, input);
  if (!fans) return plain;
  const fanned = [...fans.pieces, ...(fans.rest.length === 0 ? [] : cut(fans.rest, fans.rest, field, input))];
  return costOf(fanned, field, input) < costOf(plain, field, input) ? fanned : plain;
}

/** What is cut as a hand would lay it: no strip too long, no sliver that its neighbour could share, no tongues. */
function tidied(pieces: readonly Piece[], field: GrowthField, input: LayoutInput): readonly Piece[] {
  const whole = joinSlivers(cutTooLong(pieces, field, input), field, input);
  const laid = shareOutSlivers(whole, field, input);
  return withoutTongues(laid, field, input);
}

function cutAll(near: Region, field: GrowthField, hair: Region, input: LayoutInput): readonly Piece[] {
  const { pieces, rest } = cutPlanned(hair, field, input);
  // what is planned is even already: only the rest may be laid in the mirror
  const mirrored = (found: readonly Piece[], ground: Region): readonly Piece[] =>
    inMirror(found, ground, field, input, {
      costOf: (made) => costOf(made, field, input),
      cut: (half) => cut(half, half, field, input),
    });
  if (pieces.length === 0) return mirrored(cutRoundWhorls(hair, near, field, input), hair);
  return rest.length === 0 ? pieces : [...pieces, ...mirrored(cutRoundWhorls(rest, rest, field, input), rest)];
}

/** What lies left and right of the middle line, each for itself; all of it where strips may cross. */
function halvesOf(ground: Region, { middleCm }: LayoutInput): readonly Region[] {
  if (middleCm === undefined) return [ground];
  const far = 1e3;
  return [band([1, 0], -far, middleCm, -far, far), band([1, 0], middleCm, far, -far, far)]
    .map((half) => intersectRegions(ground, [half]))
    .filter((half) => half.length > 0);
}

/** Strips on ground as a hand lays them: halves apart where a middle line parts them, alike where they can be. */
export function laidOn(ground: Region, near: Region, field: GrowthField, input: LayoutInput): readonly Piece[] {
  const halves = halvesOf(ground, input);
  const one = (half: Region): readonly Piece[] =>
    tidied(cutAll(halves.length === 1 ? near : half, field, half, input), field, input);
  const pieces = halves.flatMap(one);
  if (halves.length === 1) return pieces;
  return inMirror(pieces, ground, field, input, { costOf: (made) => costOf(made, field, input), cut: one });
}

/** Ground that is gone over again, without what a first pass owes the zone. */
export const laidAgain = (ground: Region, field: GrowthField, input: LayoutInput): readonly Piece[] =>
  halvesOf(ground, input).flatMap((half) => tidied(cut(half, half, field, input), field, input));

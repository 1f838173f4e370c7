// Strip layout of one zone: cells of like growth → lanes and pieces → tabs and order → touching.
// Method: straight lanes per cell (layout A) and lanes fitted to the field (layout B), the cheaper by strips + slivers
// + 20·share of area whose growth is off by more than 25°; a tie goes to the straight ones.

import {
  angleBetweenDeg,
  connectedPieces,
  discRing,
  intersectRegions,
  perpendicular,
  regionArea,
  scale,
  dot,
  samplePoints,
  subtractRegions,
  uniteRings,
  type Region,
  type Ring,
  type Vec,
} from '../shared';
import type { Exclusion, GrowthField } from '../field';
import { angleErrors } from './angleErrors';
import { labelRegions } from './cellBorders';
import { FLOOD_CROSSED_DEG, FLOOD_DEG, growthCells, nodesInside, type CellLabels } from './cells';
import { cutFitted, fitCell } from './fittedLanes';
import {
  CRUMB_CM2,
  cutCell,
  GENEROUS_CUTTING,
  isSliver,
  makePiece,
  USUAL_CUTTING,
  withoutHoles,
  type Cutting,
} from './lanes';
import { costOf, MEAN_DEG, mostStrips } from './layoutCost';
import { inMirror } from './mirrored';
import { orderPieces } from './order';
import { cutTooLong, joinSlivers, shareOutSlivers } from './slivers';
import { withoutTongues } from './tongues';
import { doTouch } from './touches';
import type { Fade, HandStrip, LayoutInput, Piece, Strip } from './types';
import { fansOf } from './whorls';

export interface Cover {
  readonly coveredShare: number;
  readonly overlapShare: number;
  readonly meanAngleErrorDeg: number;
  /** Share of the covered area whose growth is off its strip by more than 40°. */
  readonly over40Share: number;
}

export interface Layout {
  /** In order of laying. */
  readonly strips: readonly Strip[];
  /** Taken from strips by hand; those that lie nowhere on the hair are as good as none. */
  readonly byHand: boolean;
  readonly cover: Cover;
  readonly hairAreaCm2: number;
  readonly slivers: number;
}

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

/** Hair-bearing ground less the clearance of marks. */
export function hairRegion(
  outline: Ring,
  exclusions: readonly Exclusion[],
): { readonly hair: Region; readonly excluded: Region } {
  const excluded = exclusions.length === 0 ? [] : uniteRings(exclusions.map((e) => discRing(e.at, e.clearanceMm / 10)));
  return { hair: subtractRegions([outline], excluded), excluded };
}

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
  for (const { ring, whole, along } of input.planned ?? []) {
    const ground = intersectRegions(hair, [ring]);
    if (ground.length === 0) continue;
    const own = whole
      ? connectedPieces(ground)
          .flatMap((part) => withoutHoles(part, along ?? perpendicular([0, 1])))
          .map((r) => makePiece(r, field, input, along ?? [0, 1]))
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

function cutAll(outline: Ring, field: GrowthField, hair: Region, input: LayoutInput): readonly Piece[] {
  const { pieces, rest } = cutPlanned(hair, field, input);
  // what is planned is even already: only the rest may be laid in the mirror
  const mirrored = (found: readonly Piece[], ground: Region): readonly Piece[] =>
    inMirror(found, ground, field, input, {
      costOf: (made) => costOf(made, field, input),
      cut: (half) => cut(half, half, field, input),
    });
  if (pieces.length === 0) return mirrored(cutRoundWhorls(hair, [outline], field, input), hair);
  return rest.length === 0 ? pieces : [...pieces, ...mirrored(cutRoundWhorls(rest, rest, field, input), rest)];
}

/** Sorted from the end where pulls start, then across: this is the order in which equal strips are taken. */
function fromTheStart(pieces: readonly Piece[]): readonly Piece[] {
  const centre = (p: Piece): readonly [number, number] => {
    const n = p.outline.length;
    return [p.outline.reduce((s, q) => s + q[0], 0) / n, p.outline.reduce((s, q) => s + q[1], 0) / n];
  };
  return [...pieces]
    .map((piece) => ({ piece, depth: dot(centre(piece), scale(piece.pull, -1)), x: centre(piece)[0] }))
    .sort((a, b) => Math.round((b.depth - a.depth) * 2) / 2 || a.x - b.x)
    .map(({ piece }) => piece);
}

/**
 * Strips by hand on the hair that there is: what a mark or the outline cuts away is gone, ground given twice belongs to
 * the first.
 */
function piecesByHand(
  strips: readonly HandStrip[],
  hair: Region,
  field: GrowthField,
  input: LayoutInput,
): readonly Piece[] {
  let free = hair;
  return strips.flatMap(({ outline, turnDeg = 0 }) => {
    const ground = intersectRegions(free, [outline]);
    if (ground.length === 0) return [];
    free = subtractRegions(free, [outline]);
    const axis = makePiece(outline, field, input, [0, 1]).lay;
    return connectedPieces(ground)
      .flatMap((part) => withoutHoles(part, axis))
      .map((ring) => makePiece(ring, field, input, [0, 1], turnDeg))
      .filter((p) => p.areaCm2 >= CRUMB_CM2 / 4);
  });
}

/** Dabs of a faded border, and the hair to be taken at all. */
function fadedBorder(
  fade: Fade,
  hair: Region,
  field: GrowthField,
  input: LayoutInput,
): { readonly dabs: readonly Piece[]; readonly rest: Region } {
  const dabs = fade.dabs.flatMap((ring) =>
    connectedPieces(intersectRegions(hair, [ring])).flatMap((part) => withoutHoles(part, [0, 1])),
  );
  return {
    dabs: dabs.map((ring) => makePiece(ring, field, input, [0, 1])).filter((p) => p.areaCm2 >= CRUMB_CM2),
    rest: subtractRegions(hair, [fade.band]),
  };
}

/** Lays out one zone. `idPrefix` + a number in order of laying makes the ids. */
export function layOutZone(
  outline: Ring,
  field: GrowthField,
  exclusions: readonly Exclusion[],
  input: LayoutInput,
  idPrefix: string,
): Layout {
  const { hair, excluded } = hairRegion(outline, exclusions);
  const hand = input.byHand ? piecesByHand(input.byHand, hair, field, input) : [];
  const byHand = hand.length > 0;
  const border = input.fade ? fadedBorder(input.fade, hair, field, input) : null;
  const main = byHand ? hand : tidied(cutAll(outline, field, border?.rest ?? hair, input), field, input);
  const dabs = byHand ? [] : (border?.dabs ?? []);
  const pieces = fromTheStart([...main, ...dabs]);
  const covered = uniteRings(pieces.map((p) => p.outline));
  // what a fade leaves standing was not meant to be taken
  const meant = border ? uniteRings([...border.rest, ...pieces.map((p) => p.outline)]) : hair;
  const hairAreaCm2 = regionArea(meant);
  const strips = arrange(pieces, subtractRegions(hair, covered), excluded, input, idPrefix);
  const stripArea = pieces.reduce((s, p) => s + p.areaCm2, 0);
  const coveredArea = regionArea(covered);
  const errors = angleErrors(pieces, field);
  return {
    strips,
    byHand,
    hairAreaCm2,
    slivers: main.filter((p) => isSliver(p, input.largestCm)).length,
    cover: {
      coveredShare: hairAreaCm2 > 0 ? Math.min(1, coveredArea / hairAreaCm2) : 1,
      overlapShare: hairAreaCm2 > 0 ? Math.max(0, (stripArea - coveredArea) / hairAreaCm2) : 0,
      meanAngleErrorDeg: errors.meanDeg,
      over40Share: errors.over40,
    },
  };
}

/**
 * Lays out only some of a zone's ground, e.g. what a first pass left; all skin round it is cleared, so that tabs may
 * lie there.
 */
export function layOutAreas(
  areas: readonly Ring[],
  outline: Ring,
  field: GrowthField,
  exclusions: readonly Exclusion[],
  input: LayoutInput,
  idPrefix: string,
): readonly Strip[] {
  const { hair, excluded } = hairRegion(outline, exclusions);
  const ground = intersectRegions(hair, uniteRings(areas));
  if (regionArea(ground) < CRUMB_CM2) return [];
  const pieces = tidied(cut(ground, ground, field, input), field, input);
  return arrange(fromTheStart(pieces), [], excluded, input, idPrefix);
}

/** Mean density under a piece, 1–5. */
function meanDensity(piece: Piece, densityAt: (at: Vec) => number): number {
  const points = samplePoints([piece.outline], Math.max(0.1, Math.sqrt(piece.areaCm2) / 8));
  return points.reduce((s, p) => s + densityAt(p), 0) / Math.max(1, points.length);
}

/** Tabs, order, ids and touching for pieces that lie fast. `leftOver`: hair that no piece takes. */
function arrange(
  pieces: readonly Piece[],
  leftOver: Region,
  excluded: Region,
  { densityAt }: LayoutInput,
  idPrefix: string,
): readonly Strip[] {
  const density = densityAt ? pieces.map((p) => meanDensity(p, densityAt)) : [];
  const ordered = orderPieces(pieces, leftOver, excluded, density);
  const idOf = new Map(ordered.map((o, k) => [o.piece, `${idPrefix}${k + 1}`]));
  const laid = ordered.flatMap((o) => {
    const piece = pieces[o.piece];
    return piece ? [{ o, piece, id: idOf.get(o.piece) ?? '' }] : [];
  });
  // touching is mutual: each pair is looked at once
  const touches = laid.map((): string[] => []);
  laid.forEach((a, i) =>
    laid.slice(i + 1).forEach((b, more) => {
      if (
        !doTouch(
          { outline: a.piece.outline, tabRing: a.o.tab.ring },
          { outline: b.piece.outline, tabRing: b.o.tab.ring },
        )
      ) {
        return;
      }
      touches[i]?.push(b.id);
      touches[i + 1 + more]?.push(a.id);
    }),
  );
  return laid.map(({ o, piece, id }, k): Strip => ({
    ...piece,
    id,
    density: density[o.piece] ?? null,
    order: k + 1,
    tab: o.tab.centre,
    tabRing: o.tab.ring,
    tabOn: o.tabOn,
    tabKind: o.tab.kind,
    touches: touches[k] ?? [],
    needsBefore: o.needsBefore.map((i) => idOf.get(i) ?? ''),
  }));
}

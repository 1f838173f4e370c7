// Strip layout of one zone: ground cut into pieces (cutGround.ts) → tabs and order → touching.

import {
  connectedPieces,
  discRing,
  dot,
  intersectRegions,
  regionArea,
  samplePoints,
  scale,
  subtractRegions,
  uniteRings,
  type Region,
  type Ring,
  type Vec,
} from '../shared';
import type { Exclusion, GrowthField } from '../field';
import { cutAs, layAndPull } from '../products';
import { angleErrors } from './angleErrors';
import { laidAgain, laidOn } from './cutGround';
import { CRUMB_CM2, isSliver, makePiece, withoutHoles } from './lanes';
import { orderPieces } from './order';
import { doTouch } from './touches';
import type { Fade, HandStrip, LayoutInput, Piece, Strip } from './types';

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

/** Hair-bearing ground less the clearance of marks. */
export function hairRegion(
  outline: Ring,
  exclusions: readonly Exclusion[],
): { readonly hair: Region; readonly excluded: Region } {
  const excluded = exclusions.length === 0 ? [] : uniteRings(exclusions.map((e) => discRing(e.at, e.clearanceMm / 10)));
  return { hair: subtractRegions([outline], excluded), excluded };
}

/** Hair that goes: less what was agreed to stay. */
export const goingFrom = (hair: Region, keep: Region | undefined): Region =>
  keep && keep.length > 0 ? subtractRegions(hair, keep) : hair;

/** Hair that goes where a border is thinned out: all of it before the border, and the dabs in it. */
export const thinnedOut = (going: Region, fade: Fade | undefined): Region =>
  fade ? subtractRegions(going, subtractRegions([fade.band], fade.dabs)) : going;

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

/** A piece by hand that lies where a dab of the faded border would be is that dab. */
function asDab(piece: Piece, fade: Fade | undefined): Piece {
  const isDab = fade?.dabs.some((d) => regionArea(intersectRegions([piece.outline], [d])) > 0.8 * piece.areaCm2);
  return isDab ? { ...piece, dab: true } : piece;
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
      .map((ring) => asDab(makePiece(ring, field, input, [0, 1], turnDeg), input.fade))
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
    dabs: dabs
      .map((ring): Piece => ({ ...makePiece(ring, field, input, [0, 1]), dab: true }))
      .filter((p) => p.areaCm2 >= CRUMB_CM2),
    rest: subtractRegions(hair, [fade.band]),
  };
}

/** Ground cut into strips. Ways that only turn lay and pull round are cut alike, and once. */
function cutOut(ground: Region, near: Region, field: GrowthField, input: LayoutInput): readonly Piece[] {
  const way = cutAs(input.way);
  const cut = (): readonly Piece[] => laidOn(ground, near, field, { ...input, way });
  const pieces = input.cutOnce ? input.cutOnce(cut) : cut();
  return way === input.way ? pieces : pieces.map((p) => ({ ...p, ...layAndPull(input.way, p.growth) }));
}

/** Lays out one zone. `idPrefix` + a number in order of laying makes the ids. */
export function layOutZone(
  outline: Ring,
  field: GrowthField,
  exclusions: readonly Exclusion[],
  input: LayoutInput,
  idPrefix: string,
): Layout {
  const { hair: standing, excluded } = hairRegion(outline, exclusions);
  const hair = goingFrom(standing, input.keep);
  const hand = input.byHand ? piecesByHand(input.byHand, hair, field, input) : [];
  const byHand = hand.length > 0;
  const border = input.fade ? fadedBorder(input.fade, hair, field, input) : null;
  const main = byHand ? hand : cutOut(border?.rest ?? hair, [outline], field, input);
  const dabs = byHand ? [] : (border?.dabs ?? []);
  const pieces = fromTheStart([...main, ...dabs]);
  const covered = uniteRings(pieces.map((p) => p.outline));
  // what a fade leaves standing was not meant to be taken
  const meant = input.fade ? subtractRegions(hair, subtractRegions([input.fade.band], covered)) : hair;
  const hairAreaCm2 = regionArea(meant);
  const strips = arrange(pieces, subtractRegions(standing, covered), excluded, input, idPrefix);
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
  const ground = intersectRegions(goingFrom(hair, input.keep), uniteRings(areas));
  if (regionArea(ground) < CRUMB_CM2) return [];
  const pieces = laidAgain(ground, field, input);
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
  { densityAt, never = [], keep = [] }: LayoutInput,
  idPrefix: string,
): readonly Strip[] {
  const density = densityAt ? pieces.map((p) => meanDensity(p, densityAt)) : [];
  const ordered = orderPieces(pieces, leftOver, [...excluded, ...never], density, {
    never: [...never, ...keep],
    shortTabs: never.length > 0,
  });
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

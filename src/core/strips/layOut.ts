// Strip layout of one zone: cells of like growth → lanes and pieces → tabs and order → touching.
// Method: straight lanes per cell (layout A) with one lane more or fewer tried by cost = strips + slivers + 20·share of area
// whose growth is off by more than 25°. Left out so far: lanes fitted to a curved field, tugs, fades, hand shapes of small zones.

import { angleBetweenDeg, discRing, intersectRegions, regionArea, samplePoints, scale, dot, subtractRegions, uniteRings, type Region, type Ring } from '../shared';
import { growthAt, type Exclusion, type GrowthField } from '../field';
import { cellRegions } from './cellBorders';
import { FLOOD_CROSSED_DEG, FLOOD_DEG, growthCells, nodesInside } from './cells';
import { cutCell, GENEROUS_CUTTING, isSliver, joinSlivers, USUAL_CUTTING, type Cutting } from './lanes';
import { orderPieces } from './order';
import { doTouch } from './touches';
import type { LayoutInput, Piece, Strip } from './types';

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
  readonly cover: Cover;
  readonly hairAreaCm2: number;
  readonly slivers: number;
}

const OFF_DEG = 25;
const OFF_WEIGHT = 20;

interface AngleErrors {
  readonly meanDeg: number;
  readonly over25: number;
  readonly over40: number;
}

function angleErrors(pieces: readonly Piece[], field: GrowthField): AngleErrors {
  let [n, total, over25, over40] = [0, 0, 0, 0];
  const area = pieces.reduce((s, p) => s + p.areaCm2, 0);
  const step = Math.max(0.1, Math.sqrt(area) / 26);
  for (const piece of pieces) {
    for (const point of samplePoints([piece.outline], step)) {
      const error = angleBetweenDeg(growthAt(field, point), piece.growth);
      n++;
      total += error;
      if (error > OFF_DEG) over25++;
      if (error > 40) over40++;
    }
  }
  return n === 0 ? { meanDeg: 0, over25: 0, over40: 0 } : { meanDeg: total / n, over25: over25 / n, over40: over40 / n };
}

/** A mean error above this costs extra, so that the layout stays under the 10° that count as following the growth. */
const MEAN_DEG = 9.5;
const PER_DEGREE = 3;

function costOf(pieces: readonly Piece[], field: GrowthField, input: LayoutInput): number {
  const errors = angleErrors(pieces, field);
  const slivers = pieces.filter((p) => isSliver(p, input.largestCm)).length;
  return pieces.length + slivers + OFF_WEIGHT * errors.over25 + PER_DEGREE * Math.max(0, errors.meanDeg - MEAN_DEG);
}

/** More strips than this are too many: 1.6 × the least number by area + 2. */
const tooMany = (pieces: readonly Piece[], areaCm2: number, [width, length]: readonly [number, number]): boolean =>
  pieces.length > (1.6 * areaCm2) / (width * length) + 2;

/** Hair-bearing ground less the clearance of marks. */
export function hairRegion(outline: Ring, exclusions: readonly Exclusion[]): { readonly hair: Region; readonly excluded: Region } {
  const excluded = exclusions.length === 0 ? [] : uniteRings(exclusions.map((e) => discRing(e.at, e.clearanceMm / 10)));
  return { hair: subtractRegions([outline], excluded), excluded };
}

function cut(outline: Ring, field: GrowthField, hair: Region, input: LayoutInput): readonly Piece[] {
  const floodDeg = input.way === 'crossed' ? FLOOD_CROSSED_DEG : FLOOD_DEG;
  const stripArea = input.largestCm[0] * input.largestCm[1];
  const inside = nodesInside(field, outline);
  const groundsAt = (deg: number, joinShare?: number): readonly Region[] =>
    cellRegions(field, growthCells(field, inside, stripArea, deg, joinShare)).map((cell) => intersectRegions(cell, hair));
  const coarse = groundsAt(floodDeg);
  const attempt = (cutting: Cutting, grounds = coarse): { readonly pieces: readonly Piece[]; readonly cost: number } => {
    const pieces = joinSlivers(grounds.flatMap((ground) => cutCell(ground, field, input, cutting)), field, input);
    return { pieces, cost: costOf(pieces, field, input) };
  };
  const usual = [attempt(USUAL_CUTTING), attempt({ ...USUAL_CUTTING, extraLanes: 1 })];
  let best = usual.reduce((a, b) => (b.cost < a.cost ? b : a));
  // whorls and sharp bends: smaller cells follow the growth more closely
  if (angleErrors(best.pieces, field).meanDeg > MEAN_DEG) {
    for (const fine of [groundsAt(0.65 * floodDeg, 0.25), groundsAt(0.45 * floodDeg, 0.15)]) {
      const closer = attempt(USUAL_CUTTING, fine);
      if (closer.cost < best.cost) best = closer;
    }
  }
  if (!tooMany(best.pieces, regionArea(hair), input.largestCm)) return best.pieces;
  const generous = attempt(GENEROUS_CUTTING);
  return generous.cost < best.cost ? generous.pieces : best.pieces;
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

/** Lays out one zone. `idPrefix` + a number in order of laying makes the ids. */
export function layOutZone(outline: Ring, field: GrowthField, exclusions: readonly Exclusion[], input: LayoutInput, idPrefix: string): Layout {
  const { hair, excluded } = hairRegion(outline, exclusions);
  const pieces = fromTheStart(cut(outline, field, hair, input));
  const covered = uniteRings(pieces.map((p) => p.outline));
  const hairAreaCm2 = regionArea(hair);
  const leftOver = subtractRegions(hair, covered);
  const ordered = orderPieces(pieces, leftOver, excluded);
  const idOf = new Map(ordered.map((o, k) => [o.piece, `${idPrefix}${k + 1}`]));
  const bare = ordered.flatMap((o) => {
    const piece = pieces[o.piece];
    return piece ? [{ o, piece, id: idOf.get(o.piece) ?? '' }] : [];
  });
  // touching is mutual: each pair is looked at once
  const touches = bare.map((): string[] => []);
  bare.forEach((a, i) => bare.slice(i + 1).forEach((b, more) => {
    if (!doTouch({ outline: a.piece.outline, tabRing: a.o.tab.ring }, { outline: b.piece.outline, tabRing: b.o.tab.ring })) return;
    touches[i]?.push(b.id);
    touches[i + 1 + more]?.push(a.id);
  }));
  const strips = bare.map(({ o, piece, id }, k): Strip => ({
    ...piece, id, order: k + 1, tab: o.tab.centre, tabRing: o.tab.ring, tabOn: o.tabOn, tabKind: o.tab.kind,
    touches: touches[k] ?? [],
    needsBefore: o.needsBefore.map((i) => idOf.get(i) ?? ''),
  }));
  const stripArea = pieces.reduce((s, p) => s + p.areaCm2, 0);
  const coveredArea = regionArea(covered);
  const errors = angleErrors(pieces, field);
  return {
    strips, hairAreaCm2, slivers: pieces.filter((p) => isSliver(p, input.largestCm)).length,
    cover: {
      coveredShare: hairAreaCm2 > 0 ? Math.min(1, coveredArea / hairAreaCm2) : 1, overlapShare: hairAreaCm2 > 0 ? Math.max(0, (stripArea - coveredArea) / hairAreaCm2) : 0,
      meanAngleErrorDeg: errors.meanDeg, over40Share: errors.over40,
    },
  };
}

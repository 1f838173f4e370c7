// Straight lanes (layout A): each cell is cut along its mean growth into even lanes, each lane's connected parts across
// it into even pieces. A piece round a mark is cut across the growth at the mark's centre, so that every strip is a
// simple ring. Slivers join the neighbour with the longest shared border where the joined strip is not too large.

import {
  boxOf,
  connectedPieces,
  distanceToSegment,
  extentAlong,
  intersectRegions,
  perpendicular,
  regionArea,
  rotate,
  samplePoints,
  type Region,
  type Ring,
  type Vec,
} from '../shared';
import { meanDirection, type GrowthField } from '../field';
import { layAndPull } from '../products';
import { simpleRings } from './simpleRings';
import type { LayoutInput, Piece } from './types';

/** Joined strips may exceed the largest size by this factor; no hand pulls longer than 26 cm. */
export const JOIN_EXCESS = 1.15;
const LONGEST_CM = 26;
/** Longest that a strip may come out where the largest is so long, cm. */
export const mostLengthCm = (longest: number): number => Math.max(longest, Math.min(JOIN_EXCESS * longest, LONGEST_CM));

/** A lane may be wider, a piece longer, by these shares of the largest strip before another is cut. */
export interface Cutting {
  readonly laneSlack: number;
  readonly pieceSlack: number;
  readonly extraLanes: number;
}
export const USUAL_CUTTING: Cutting = { laneSlack: 0.08, pieceSlack: 0.05, extraLanes: 0 };
/** Where the usual cut gives too many strips: up to the size that joined strips may have. */
export const GENEROUS_CUTTING: Cutting = { laneSlack: 0.14, pieceSlack: 0.14, extraLanes: 0 };
const SLIVER_AREA = 0.3;
const SLIVER_WIDTH = 0.35;
/** Below this a leftover is a crumb: always joined, else left to the tweezer, cm². */
export const CRUMB_CM2 = 0.08;

/** Rectangle from s0 to s1 along `axis` and t0 to t1 along its normal. */
export function band(axis: Vec, s0: number, s1: number, t0: number, t1: number): Ring {
  const normal = perpendicular(axis);
  const at = (s: number, t: number): Vec => [s * axis[0] + t * normal[0], s * axis[1] + t * normal[1]];
  return [at(s0, t0), at(s1, t0), at(s1, t1), at(s0, t1)];
}

export function makePiece(outline: Ring, field: GrowthField, input: LayoutInput, fallback: Vec, turnDeg = 0): Piece {
  const region = [outline];
  const box = boxOf(region);
  const step = Math.max(0.1, Math.min(0.4, Math.min(box.x1 - box.x0, box.y1 - box.y0) / 5));
  const growth = meanDirection(field, samplePoints(region, step)) ?? fallback;
  const { lay, pull } = layAndPull(input.way, turnDeg === 0 ? growth : rotate(growth, turnDeg));
  const areaCm2 = regionArea(region);
  const [low, high] = extentAlong(region, lay);
  const lengthCm = high - low;
  return {
    outline,
    areaCm2,
    growth,
    lay,
    pull,
    lengthCm,
    widthCm: areaCm2 / lengthCm,
    ...(turnDeg === 0 ? {} : { turnDeg }),
  };
}

/** Cuts a region with holes across `axis` at each hole's middle until every piece is simple. */
export function withoutHoles(piece: Region, axis: Vec): readonly Ring[] {
  const [outer, hole] = piece;
  if (!outer) return [];
  if (!hole) return simpleRings(outer);
  const [low, high] = extentAlong([hole], axis);
  const middle = (low + high) / 2;
  const reach = 1e3;
  return [
    [-reach, middle],
    [middle, reach],
  ].flatMap(([s0, s1]) =>
    connectedPieces(intersectRegions(piece, [band(axis, s0 ?? -reach, s1 ?? reach, -reach, reach)])).flatMap((part) =>
      withoutHoles(part, axis),
    ),
  );
}

/** Pieces of one cell. */
export function cutCell(cell: Region, field: GrowthField, input: LayoutInput, cutting: Cutting): readonly Piece[] {
  const total = regionArea(cell);
  if (total < CRUMB_CM2 / 8) return [];
  const mean = meanDirection(field, samplePoints(cell, Math.max(0.15, Math.sqrt(total) / 20))) ?? [0, 1];
  // lanes run along lay and pull, which for the crosswise way is across the growth
  const axis = layAndPull(input.way, mean).lay;
  const normal = perpendicular(axis);
  const [widest, longest] = input.largestCm;
  const [t0, t1] = extentAlong(cell, normal);
  const lanes = Math.max(1, Math.ceil((t1 - t0) / widest - cutting.laneSlack) + cutting.extraLanes);
  const reach = 1e3;
  const pieces: Piece[] = [];
  for (let lane = 0; lane < lanes; lane++) {
    const a = t0 + ((t1 - t0) * lane) / lanes;
    const b = t0 + ((t1 - t0) * (lane + 1)) / lanes;
    const cut = [band(axis, -reach, reach, lane === 0 ? a - 1 : a, lane === lanes - 1 ? b + 1 : b)];
    for (const part of connectedPieces(intersectRegions(cell, cut))) {
      const [s0, s1] = extentAlong(part, axis);
      const slack = Math.min(cutting.pieceSlack, mostLengthCm(longest) / longest - 1);
      const count = Math.max(1, Math.ceil((s1 - s0) / longest - slack - 1e-9));
      for (let k = 0; k < count; k++) {
        const from = k === 0 ? s0 - 1 : s0 + ((s1 - s0) * k) / count;
        const to = k === count - 1 ? s1 + 1 : s0 + ((s1 - s0) * (k + 1)) / count;
        const bits =
          count === 1 ? [part] : connectedPieces(intersectRegions(part, [band(axis, from, to, -reach, reach)]));
        for (const bit of bits) {
          for (const ring of withoutHoles(bit, axis)) pieces.push(makePiece(ring, field, input, mean));
        }
      }
    }
  }
  return pieces;
}

/** Larger than a joined strip may be. */
export const isTooLarge = (piece: Piece, [widest, longest]: readonly [number, number]): boolean =>
  piece.widthCm > JOIN_EXCESS * widest || piece.lengthCm > mostLengthCm(longest) + 1e-6;

/** Too small for a strip of its own; small pieces laid by eye are meant so. */
export function isSliver(piece: Piece, [widest, longest]: readonly [number, number]): boolean {
  if (piece.byEye) return false;
  return piece.areaCm2 < SLIVER_AREA * widest * longest || piece.widthCm < SLIVER_WIDTH * widest;
}

// a copy of its own: it is read some million times, and a binding of another module is looked up at every read
const toSegment = distanceToSegment;

/** Length of the border that two rings share, cm: the part of `a`'s outline within `withinCm` of `b`'s. */
export function sharedBorder(a: Ring, b: Ring, withinCm = 0.02, stepCm = 0.1): number {
  const box = boxOf([a]);
  const near = b.flatMap((q, j): (readonly [Vec, Vec])[] => {
    const r = b[(j + 1) % b.length] ?? q;
    const apart =
      Math.max(q[0], r[0]) < box.x0 - withinCm ||
      Math.min(q[0], r[0]) > box.x1 + withinCm ||
      Math.max(q[1], r[1]) < box.y0 - withinCm ||
      Math.min(q[1], r[1]) > box.y1 + withinCm;
    return apart ? [] : [[q, r]];
  });
  if (near.length === 0) return 0;
  let length = 0;
  a.forEach((from, i) => {
    const to = a[(i + 1) % a.length] ?? from;
    const side = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const steps = Math.max(1, Math.ceil(side / stepCm));
    for (let k = 0; k < steps; k++) {
      const p: Vec = [
        from[0] + ((to[0] - from[0]) * (k + 0.5)) / steps,
        from[1] + ((to[1] - from[1]) * (k + 0.5)) / steps,
      ];
      if (near.some(([q, r]) => toSegment(p, q, r) <= withinCm)) length += side / steps;
    }
  });
  return length;
}

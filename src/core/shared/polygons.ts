// Polygons on the sheet: rings of [x, y] in centimetres, closed without repeating the first point. Regions are lists of
// rings (outer rings and holes, even-odd). Boolean work by clipper2-ts on a lattice of 1 µm; this file is its only
// wrapper.

import {
  areaD as ringArea,
  areaPathsD,
  differenceD,
  EndType,
  FillRule,
  inflatePathsD,
  intersectD,
  JoinType,
  unionD,
  type PathsD,
} from 'clipper2-ts';
import type { Ring, Vec } from './vec';

export type Region = readonly Ring[];

/** Decimals kept of a centimetre: 1 µm. */
const PRECISION = 4;

const toPaths = (region: Region): PathsD => region.map((ring) => ring.map(([x, y]) => ({ x, y })));
const fromPaths = (paths: PathsD): Region =>
  paths.map((path) => path.map((p): Vec => [p.x, p.y])).filter((ring) => ring.length >= 3);

export const intersectRegions = (a: Region, b: Region): Region =>
  fromPaths(intersectD(toPaths(a), toPaths(b), FillRule.EvenOdd, PRECISION));
export const subtractRegions = (a: Region, b: Region): Region =>
  b.length === 0 ? a : fromPaths(differenceD(toPaths(a), toPaths(b), FillRule.EvenOdd, PRECISION));
/** Union of overlapping rings (each filled). */
export const uniteRings = (rings: Region): Region =>
  fromPaths(unionD(toPaths(rings).map(orient), [], FillRule.NonZero, PRECISION));

/**
 * The ring widened by so many centimetres on every side, or narrowed where negative; corners rounded. Empty where
 * nothing is left.
 */
export const offsetRing = (ring: Ring, byCm: number): Region =>
  fromPaths(inflatePathsD(toPaths([ring]).map(orient), byCm, JoinType.Round, EndType.Polygon, 2, PRECISION));

/** Signed area of a ring in cm²; positive for outer rings as clipper returns them. */
export const signedArea = (ring: Ring): number => ringArea(ring.map(([x, y]) => ({ x, y })));
/** Area of a region in cm², holes taken off. */
export const regionArea = (region: Region): number => Math.abs(areaPathsD(toPaths(region)));

function orient(path: PathsD[number]): PathsD[number] {
  return ringArea(path) < 0 ? [...path].reverse() : path;
}

/** A disc as a ring that encloses it: circumscribed, so that no point of the disc is outside. */
export function discRing(centre: Vec, radiusCm: number, points = 48): Ring {
  const r = radiusCm / Math.cos(Math.PI / points);
  return Array.from({ length: points }, (_, i): Vec => {
    const a = (2 * Math.PI * i) / points;
    return [centre[0] + r * Math.cos(a), centre[1] + r * Math.sin(a)];
  });
}

/** True where the point lies inside the region (even-odd). */
export function isInside(region: Region, [x, y]: Vec): boolean {
  let inside = false;
  for (const ring of region) {
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [xi, yi] = ring[i] as Vec; // i and j run over the ring's own indices
      const [xj, yj] = ring[j] as Vec;
      if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
    }
  }
  return inside;
}

/** Each connected piece of a region: its outer ring first, then the holes in it. */
export function connectedPieces(region: Region): readonly Region[] {
  const outers = region.filter((ring) => signedArea(ring) > 0);
  const holes = region.filter((ring) => signedArea(ring) < 0);
  return outers.map((outer) => [outer, ...holes.filter((hole) => hole[0] !== undefined && isInside([outer], hole[0]))]);
}

export interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

export function boxOf(region: Region): Box {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const ring of region) {
    for (const [x, y] of ring) {
      x0 = Math.min(x0, x);
      x1 = Math.max(x1, x);
      y0 = Math.min(y0, y);
      y1 = Math.max(y1, y);
    }
  }
  return { x0, y0, x1, y1 };
}

/** Smallest and largest coordinate of the region along a unit vector. */
export function extentAlong(region: Region, axis: Vec): readonly [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const ring of region) {
    for (const [x, y] of ring) {
      const s = x * axis[0] + y * axis[1];
      low = Math.min(low, s);
      high = Math.max(high, s);
    }
  }
  return [low, high];
}

/**
 * Where the line at height y crosses the region's borders, left to right; inside lies between each odd and the next
 * even one.
 */
export function crossingsAt(region: Region, y: number): number[] {
  const xs: number[] = [];
  for (const ring of region) {
    let before = ring.at(-1);
    for (const here of ring) {
      // most edges lie wholly above or below: nothing is taken apart for them
      if (before && here[1] > y !== before[1] > y) {
        xs.push(((before[0] - here[0]) * (y - here[1])) / (before[1] - here[1]) + here[0]);
      }
      before = here;
    }
  }
  return xs.sort((a, b) => a - b);
}

/**
 * Points inside the region on a lattice of the given step, cell centres, row by row; at least one where the region is
 * not empty.
 */
export function samplePoints(region: Region, stepCm: number): readonly Vec[] {
  const box = boxOf(region);
  const points: Vec[] = [];
  for (let y = box.y0 + stepCm / 2; y < box.y1; y += stepCm) {
    const xs = crossingsAt(region, y);
    for (let k = 0; k + 1 < xs.length; k += 2) {
      const [from, to] = [xs[k] as number, xs[k + 1] as number]; // k + 1 < length
      const first = Math.ceil((from - box.x0) / stepCm - 0.5);
      for (let x = box.x0 + (first + 0.5) * stepCm; x < to; x += stepCm) points.push([x, y]);
    }
  }
  const corner = region[0]?.[0];
  return points.length > 0 || !corner ? points : [corner];
}

/** Distance from a point to a segment, cm. */
export function distanceToSegment(p: Vec, a: Vec, b: Vec): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const length2 = dx * dx + dy * dy;
  const t = length2 === 0 ? 0 : Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / length2));
  const [ox, oy] = [p[0] - a[0] - t * dx, p[1] - a[1] - t * dy];
  // Math.hypot is several times slower, and this is asked for at every point of a border
  return Math.sqrt(ox * ox + oy * oy);
}

// What the eye sees of strips before it chooses an order: rows from the end where pulls start, lanes straight behind
// one another, parts that are pulled the same way, left to right within a row.

import { dot, perpendicular, type Vec } from '../../shared';

/** Where a strip lies and how it is pulled, sheet centimetres. */
export interface Place {
  readonly at: Vec;
  readonly pull: Vec;
  readonly lengthCm: number;
  /** All of a lower course are laid before any of a higher one; absent = 0. */
  readonly course?: number | undefined;
  /** Strips of the same number are spread at once; absent = laid on its own. */
  readonly patch?: number | undefined;
}

export interface Seen {
  /** From 0 at the end where pulls start. */
  readonly row: number;
  /** From 0 at the left of the sheet. */
  readonly lane: number;
  /** Strips pulled the same way share a part, from 0. */
  readonly part: number;
  /** Across the pull, cm. */
  readonly acrossCm: number;
}

export interface Wanting {
  readonly place: Place;
  /** Strips of the same zone that must be off before, by index. */
  readonly needs: readonly number[];
}

/** Strips pulled more than this apart are two parts. */
const SAME_PULL_COS = Math.cos((60 * Math.PI) / 180);

/** Mean pull, or the first where they cancel out. */
function meanPull(places: readonly Place[]): Vec {
  const [x, y] = places.reduce<Vec>((s, p) => [s[0] + p.pull[0], s[1] + p.pull[1]], [0, 0]);
  const length = Math.hypot(x, y);
  return length > 0.2 * places.length ? [x / length, y / length] : (places[0]?.pull ?? [0, -1]);
}

/**
 * How rows are told: by what must be off before, counted from the end where pulls start or from the far end, or by how
 * far strips lie along the pull.
 */
export type RowsBy = 'needs' | 'far' | 'depth';
/** Which of the strips that must be off before stands straight ahead; or every part is a lane. */
export type LanesBy = 'nearest' | 'farthest' | 'part';

function rowsByNeeds(strips: readonly Wanting[]): readonly number[] {
  const rows: number[] = [];
  const rowOf = (i: number, seen: readonly number[] = []): number => {
    const known = rows[i];
    if (known !== undefined) return known;
    const needs = seen.includes(i) ? [] : (strips[i]?.needs ?? []);
    const row = needs.length === 0 ? 0 : 1 + Math.max(...needs.map((k) => rowOf(k, [...seen, i])));
    rows[i] = row;
    return row;
  };
  return strips.map((_, i) => rowOf(i));
}

/** Rows counted from the far end: what nothing waits for is in the last one. */
function rowsFromFar(strips: readonly Wanting[]): readonly number[] {
  const waiting = strips.map((_, i) => strips.flatMap((s, k) => (s.needs.includes(i) ? [k] : [])));
  const back = rowsByNeeds(strips.map(({ place }, i) => ({ place, needs: waiting[i] ?? [] })));
  const last = Math.max(0, ...back);
  return back.map((row) => last - row);
}

/** Clusters of depth along the own pull, half a median length apart. */
function rowsByDepth(strips: readonly Wanting[]): readonly number[] {
  const lengths = strips.map((s) => s.place.lengthCm).sort((a, b) => a - b);
  const apart = (lengths[Math.floor(lengths.length / 2)] ?? 1) / 2;
  // a tab lies behind its strip: what lies furthest against the pull comes first
  const depth = strips.map((s) => dot(s.place.at, s.place.pull));
  const sorted = strips.map((_, i) => i).sort((a, b) => (depth[a] ?? 0) - (depth[b] ?? 0));
  const rows: number[] = [];
  let row = 0;
  sorted.forEach((i, k) => {
    const before = sorted[k - 1];
    if (before !== undefined && (depth[i] ?? 0) - (depth[before] ?? 0) > apart) row++;
    rows[i] = row;
  });
  return rows;
}

const ROWS: Readonly<Record<RowsBy, (strips: readonly Wanting[]) => readonly number[]>> = {
  needs: (strips) => rowsByNeeds(strips),
  far: rowsFromFar,
  depth: rowsByDepth,
};

function partsOf(strips: readonly Wanting[]): readonly number[] {
  const pulls: Vec[] = [];
  return strips.map(({ place }) => {
    const known = pulls.findIndex((p) => dot(p, place.pull) >= SAME_PULL_COS);
    if (known >= 0) return known;
    pulls.push(place.pull);
    return pulls.length - 1;
  });
}

/** Chains straight behind one another, numbered from the left by where they begin. */
function lanesOf(strips: readonly Wanting[], across: readonly number[], by: LanesBy): readonly number[] {
  const ahead = strips.map(({ needs }, i) => {
    const off = (k: number): number => Math.abs((across[k] ?? 0) - (across[i] ?? 0));
    const sorted = [...needs].sort((a, b) => off(a) - off(b));
    return by === 'nearest' ? sorted[0] : sorted.at(-1);
  });
  const headOf = (i: number, guard = 0): number => {
    const before = ahead[i];
    return before === undefined || guard > strips.length ? i : headOf(before, guard + 1);
  };
  const heads = strips.map((_, i) => headOf(i));
  const order = [...new Set(heads)].sort((a, b) => (across[a] ?? 0) - (across[b] ?? 0));
  return heads.map((h) => order.indexOf(h));
}

/** Rows, lanes and parts of one zone's strips. */
export function seen(strips: readonly Wanting[], rowsBy: RowsBy, lanesBy: LanesBy): readonly Seen[] {
  const [ax, ay] = perpendicular(meanPull(strips.map((s) => s.place)));
  // from the left of the sheet to the right, whichever way the pull runs
  const axis: Vec = ax < 0 || (ax === 0 && ay < 0) ? [0 - ax, 0 - ay] : [ax, ay];
  const across = strips.map((s) => dot(s.place.at, axis));
  const rows = ROWS[rowsBy](strips);
  const parts = partsOf(strips);
  const lanes = lanesBy === 'part' ? parts : lanesOf(strips, across, lanesBy);
  return strips.map((_, i) => ({
    row: rows[i] ?? 0,
    lane: lanes[i] ?? 0,
    part: parts[i] ?? 0,
    acrossCm: across[i] ?? 0,
  }));
}

/** From this course on a strip comes after all else of its zone. */
export const LAST_COURSE = 10;

// The lists in which an eye that goes upward from the tab end looks for the next strip: level by level, or simply the
// lowest first. The places alone decide; what is passed over comes in `nextFree.ts`.

import { dot, type Vec } from '../../shared';
import { seen, type RowsBy, type Wanting } from './places';

/** On ground of at most so many strips rows are seen by what must be off before or after too: on more it would jump. */
const SMALL_GROUND = 14;
/** Strips whose heights differ by less lie alike low, strip lengths. */
const ALIKE = 0.1;

export interface LevelList {
  /** Strips as indices. */
  readonly order: readonly number[];
  /** Height of each of them above the tab end, strip lengths. */
  readonly heights: readonly number[];
}

/** How high each strip lies above the lowest that is pulled the same way, strip lengths. */
function heightsOf(strips: readonly Wanting[], part: (i: number) => number): readonly number[] {
  const lengths = strips.map((s) => s.place.lengthCm).sort((a, b) => a - b);
  const lengthCm = lengths[Math.floor(lengths.length / 2)] ?? 1;
  const parts = new Map<number, readonly number[]>();
  strips.forEach((_, i) => parts.set(part(i), [...(parts.get(part(i)) ?? []), i]));
  const heights: number[] = [];
  for (const own of parts.values()) {
    const [x, y] = own.reduce<Vec>(
      (sum, i) => [sum[0] + (strips[i]?.place.pull[0] ?? 0), sum[1] + (strips[i]?.place.pull[1] ?? 0)],
      [0, 0],
    );
    const along: Vec = [x / own.length, y / own.length];
    const depths = own.map((i) => dot(strips[i]?.place.at ?? [0, 0], along));
    own.forEach((i, k) => (heights[i] = ((depths[k] ?? 0) - Math.min(...depths)) / lengthCm));
  }
  return heights;
}

/** Every list once; strips of an earlier course before those of a later one. */
export function levelLists(strips: readonly Wanting[]): readonly LevelList[] {
  const look = seen(strips, 'needs', 'nearest');
  const heights = heightsOf(strips, (i) => look[i]?.part ?? 0);
  const height = (i: number): number => heights[i] ?? 0;
  const lists = new Map<string, LevelList>();
  const add = (...by: readonly ((i: number) => number)[]): void => {
    const keys = [(i: number): number => strips[i]?.place.course ?? 0, ...by];
    const order = strips
      .map((_, i) => i)
      .sort((a, b) => keys.map((key) => key(a) - key(b)).find((off) => off !== 0) ?? a - b);
    lists.set(order.join(), { order, heights: order.map(height) });
  };
  const across = (i: number): number => look[i]?.acrossCm ?? 0;
  const middle = look.reduce((sum, l) => sum + l.acrossCm, 0) / Math.max(1, look.length);
  const outward = (i: number): number => Math.abs(across(i) - middle);
  const told: readonly RowsBy[] = strips.length <= SMALL_GROUND ? ['needs', 'far'] : [];
  const rows = [
    (i: number): number => Math.floor(height(i) + ALIKE),
    ...told.map((rowsBy) => {
      const by = seen(strips, rowsBy, 'nearest');
      return (i: number): number => by[i]?.row ?? 0;
    }),
  ];
  for (const way of [1, -1]) {
    for (const row of rows) {
      // from the left or the right, the same in every level, or to and fro
      add(row, (i) => way * across(i));
      add(row, (i) => way * (row(i) % 2 === 0 ? 1 : -1) * across(i));
      // from the middle outward, or from both edges inward
      add(row, (i) => way * outward(i));
    }
    add(
      (i) => Math.round(height(i) / ALIKE),
      (i) => way * across(i),
    );
  }
  return [...lists.values()];
}

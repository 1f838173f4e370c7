// Numbers that would lie on each other are moved apart: each along its own strip, towards the foot. Narrow strips side
// by side have their tabs side by side, and a number has a least size.

import type { Vec } from '@/core/shared';

export interface Disc {
  readonly at: Vec;
  readonly r: number;
  /** The far end of its strip. */
  readonly foot: Vec;
}

/** A number stays on its wax: it goes no further than so much of the way to the foot. */
const FURTHEST = 0.8;
/** Steps of a move, in radii. */
const STEP = 0.5;

const gap = (a: Pick<Disc, 'at' | 'r'>, b: Pick<Disc, 'at' | 'r'>): number =>
  Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1]) - a.r - b.r;

/** Places of a disc along its strip, the one at its tab first. */
function placesOf({ at, r, foot }: Disc): readonly Vec[] {
  const [dx, dy] = [foot[0] - at[0], foot[1] - at[1]];
  const way = Math.hypot(dx, dy);
  const steps = r > 0 ? Math.floor((FURTHEST * way) / (STEP * r)) : 0;
  return Array.from({ length: steps + 1 }, (_, k): Vec => {
    const share = way === 0 ? 0 : (k * STEP * r) / way;
    return [at[0] + share * dx, at[1] + share * dy];
  });
}

/** Where each disc stands so that none lies on another, as far as its strip lets it; in the order given. */
export function apart(discs: readonly Disc[]): readonly Vec[] {
  const placed = new Map<number, Pick<Disc, 'at' | 'r'>>();
  // what is large has its room already: the small ones give way
  const order = discs.map((_, i) => i).sort((a, b) => (discs[b]?.r ?? 0) - (discs[a]?.r ?? 0));
  for (const i of order) {
    const disc = discs[i];
    if (!disc) continue;
    const free = (at: Vec): number => Math.min(Infinity, ...[...placed.values()].map((p) => gap({ at, r: disc.r }, p)));
    const places = placesOf(disc);
    const at =
      places.find((p) => free(p) >= 0) ?? places.reduce((best, p) => (free(p) > free(best) ? p : best), disc.at);
    placed.set(i, { at, r: disc.r });
  }
  return discs.map((d, i) => placed.get(i)?.at ?? d.at);
}

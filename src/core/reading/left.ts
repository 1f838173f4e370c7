// What is left on the zone, from the hairs that were tapped: patches that count themselves, how much it is in all, and
// what the chart can learn where hair grew another way than charted. Distances from memory.

import { discRing, dot, unit, type Ring, type Vec } from '../shared';
import type { Stroke } from '../field';

/** Why a patch stayed, as said; the rest is not said. */
export const PATCH_KINDS = ['short', 'flat', 'other-way'] as const;
export type PatchKind = (typeof PATCH_KINDS)[number];

/** One hair that was tapped, or the stroke that was drawn along it. */
export interface LeftHair {
  /** Sheet centimetres. */
  readonly at: Vec;
  /** Where its tip points; null where it was only tapped. */
  readonly way: Vec | null;
  readonly kind: PatchKind | null;
}

export interface LeftPatch {
  /** Places in the list of hairs. */
  readonly hairs: readonly number[];
  readonly middle: Vec;
  readonly radiusCm: number;
  readonly kind: PatchKind | null;
  /** Mean way of those that were drawn; null where none was. */
  readonly way: Vec | null;
}

/** Hairs this near to each other are one patch, cm: less on a small zone. */
export const joinCm = ([w, h]: readonly [number, number]): number => Math.min(1.6, 0.22 * Math.min(w, h));

/** Up to this many are tweezed without haste; more are a patch too big to tweeze. */
export const FEW = 6;
const MANY = 60;

/** The patches that hairs make, largest first. @param reachCm see `joinCm` */
export function leftPatches(hairs: readonly LeftHair[], reachCm: number): readonly LeftPatch[] {
  const patchOf = hairs.map((_, i) => i);
  const rename = (from: number, to: number): void => patchOf.forEach((p, i) => p === from && (patchOf[i] = to));
  hairs.forEach((a, i) => {
    hairs.slice(0, i).forEach((b, j) => {
      const [p, q] = [patchOf[i] ?? i, patchOf[j] ?? j];
      if (p !== q && Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1]) <= reachCm) rename(p, q);
    });
  });
  const groups = new Map<number, number[]>();
  patchOf.forEach((p, i) => groups.set(p, [...(groups.get(p) ?? []), i]));
  return [...groups.values()]
    .map((own) => patchFrom(own, hairs))
    .sort((a, b) => b.hairs.length - a.hairs.length || (a.hairs[0] ?? 0) - (b.hairs[0] ?? 0));
}

function patchFrom(own: readonly number[], all: readonly LeftHair[]): LeftPatch {
  const hairs = own.flatMap((i) => all[i] ?? []);
  const middle: Vec = [
    hairs.reduce((s, h) => s + h.at[0], 0) / hairs.length,
    hairs.reduce((s, h) => s + h.at[1], 0) / hairs.length,
  ];
  const ways = hairs.flatMap((h) => (h.way ? [unit(h.way) ?? h.way] : []));
  return {
    hairs: own,
    middle,
    radiusCm: Math.max(...hairs.map((h) => Math.hypot(h.at[0] - middle[0], h.at[1] - middle[1]))),
    kind: hairs.findLast((h) => h.kind !== null)?.kind ?? null,
    way: ways.length === 0 ? null : unit([ways.reduce((s, w) => s + w[0], 0), ways.reduce((s, w) => s + w[1], 0)]),
  };
}

/** The ground of a patch: all that lies between its hairs and a little round them, so that few strips cover it. */
export function patchGround(patch: LeftPatch, hairs: readonly LeftHair[], reachCm: number): Ring {
  const points = patch.hairs.flatMap((i) => (hairs[i] ? discRing(hairs[i].at, 0.5 * reachCm, 16) : []));
  return hullOf(points);
}

const turn = (o: Vec, a: Vec, b: Vec): number => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/** Convex hull, counter-clockwise (Andrew's monotone chain). */
function hullOf(points: readonly Vec[]): Ring {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly Vec[]): Vec[] => {
    const chain: Vec[] = [];
    for (const p of list) {
      for (;;) {
        const [o, a] = chain.slice(-2);
        if (!o || !a || turn(o, a, p) > 0) break;
        chain.pop();
      }
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
}

/** How much is left in one word; a patch is more than is tweezed. */
export function leftWord(patches: readonly LeftPatch[]): 'none' | 'few' | 'patch' | 'many' {
  const count = patches.reduce((n, p) => n + p.hairs.length, 0);
  if (count === 0) return 'none';
  if (count > MANY) return 'many';
  return (patches[0]?.hairs.length ?? 0) > FEW ? 'patch' : 'few';
}

/** The kind that most of what is left has; `anywhere` where nothing was said. */
export function leftKindOf(patches: readonly LeftPatch[]): 'none' | 'anywhere' | PatchKind {
  if (patches.length === 0) return 'none';
  const count = (kind: PatchKind): number => patches.reduce((n, p) => n + (p.kind === kind ? p.hairs.length : 0), 0);
  const most = PATCH_KINDS.reduce((a, b) => (count(b) > count(a) ? b : a));
  return count(most) > 0 ? most : 'anywhere';
}

/** Growth this much off the chart is worth combing it anew, as the cosine of 25° (from memory). */
const SAME_WAY = Math.cos((25 * Math.PI) / 180);
/** Strokes that a patch adds to the chart at most. */
const MOST_STROKES = 12;

/**
 * What to comb next time: of patches that grew another way and whose way is known. `charted` gives the growth on the
 * chart at a place.
 */
export function combFromLeft(
  patches: readonly LeftPatch[],
  hairs: readonly LeftHair[],
  charted: (at: Vec) => Vec | null,
): readonly Stroke[] {
  return patches.flatMap((p) => {
    const { way } = p;
    const was = charted(p.middle);
    if (p.kind !== 'other-way' || !way || (was && dot(was, way) > SAME_WAY)) return [];
    const every = Math.max(1, Math.ceil(p.hairs.length / MOST_STROKES));
    return p.hairs
      .filter((_, k) => k % every === 0)
      .flatMap((i): Stroke[] => (hairs[i] ? [{ at: hairs[i].at, towards: way }] : []));
  });
}

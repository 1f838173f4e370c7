// How somebody comes on: skills by the week, what to practise next, and whether the hand's own visits speak for another
// level of planning.

import { HAND_PACE } from '../plan';
import type { HandLevel } from '../strips';

const WEEK_MS = 7 * 86_400_000;

export interface Done {
  readonly atMs: number;
  /** A question right or not (1, 0), a strip's score as a share. */
  readonly share: number;
}

export interface Week {
  /** Null where nothing was done. */
  readonly share: number | null;
  readonly count: number;
}

/** The last weeks, oldest first; the last one ends now. */
export function byWeek(done: readonly Done[], nowMs: number, weeks: number): readonly Week[] {
  return Array.from({ length: weeks }, (_, k): Week => {
    const toMs = nowMs - (weeks - 1 - k) * WEEK_MS;
    const own = done.filter((d) => d.atMs > toMs - WEEK_MS && d.atMs <= toMs);
    const sum = own.reduce((s, d) => s + d.share, 0);
    return { share: own.length === 0 ? null : sum / own.length, count: own.length };
  });
}

/** Fewer strips than these show no habit. */
const HABIT = 3;

/** The fault that cost most hairs oftenest in the last strips; null where none came back. */
export function habitOf(
  faults: readonly (string | null)[],
): { readonly fault: string; readonly strips: number } | null {
  const counts = new Map<string, number>();
  for (const fault of faults) if (fault !== null) counts.set(fault, (counts.get(fault) ?? 0) + 1);
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  return most && most[1] >= HABIT ? { fault: most[0], strips: most[1] } : null;
}

export interface HandEvidence {
  /** Visits that say how long they took. */
  readonly visits: number;
  /** Real minutes at the table over planned ones: the middle one and between which it lies, 9 in 10. */
  readonly ratio: number | null;
  readonly from: number | null;
  readonly to: number | null;
  /** The level whose pace all of that speaks for; null where it is the present one, or too little is known. */
  readonly fits: HandLevel | null;
}

/** With fewer visits nothing is said. */
export const LEAST_VISITS = 8;
/** Half the width of the band that holds a median 9 times in 10, in places by √n (binomial, normal in the limit). */
const BAND = 0.82;

const nearest = (pace: number): HandLevel => {
  const levels = Object.keys(HAND_PACE) as HandLevel[];
  const off = (level: HandLevel): number => Math.abs(Math.log(pace / HAND_PACE[level]));
  return levels.reduce((best, level) => (off(level) < off(best) ? level : best));
};

/** @param level with which the visits were planned; @param ratios minutes at the table over planned minutes */
export function handEvidence(level: HandLevel, ratios: readonly number[]): HandEvidence {
  const sorted = ratios.filter((r) => r > 0 && Number.isFinite(r)).sort((a, b) => a - b);
  const n = sorted.length;
  if (n < LEAST_VISITS) return { visits: n, ratio: null, from: null, to: null, fits: null };
  const at = (k: number): number => sorted[Math.min(n - 1, Math.max(0, k))] ?? 1;
  const ratio = (at(Math.floor((n - 1) / 2)) + at(Math.ceil((n - 1) / 2))) / 2;
  const k = Math.max(0, Math.floor(n / 2 - BAND * Math.sqrt(n)));
  const [from, to] = [at(k), at(n - 1 - k)];
  const all = [from, ratio, to].map((r) => nearest(r * HAND_PACE[level]));
  const [first] = all;
  const fits = first !== undefined && first !== level && all.every((l) => l === first) ? first : null;
  return { visits: n, ratio, from, to, fits };
}

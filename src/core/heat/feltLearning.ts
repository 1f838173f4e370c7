// How warm this client feels wax, learned from "too warm / right / too cool" at past visits: a shift of the felt limit
// in kelvin, by Bayes on a grid. Prior: normal, 0 ± 1 K (from memory). A visit's felt peak stands m K from the limit
// without shift; with shift d the client calls it too warm with probability Φ((m − d + 0.5)/s), too cool with Φ((−3.5 −
// (m − d))/s), s = 1 K; else right (from memory). Only where the felt heat came near the limit do "right" and "too
// cool" say anything of it: paste at body heat is right for everyone. Caution wins: "too warm" always counts, a shift
// down counts at its mean, a shift up only as far as it is nearly sure, and never more than 0.8 K.

import { normalCdfFast } from '../shared';

export type HeatFelt = 'too-warm' | 'right' | 'too-cool';

export interface FeltVisit {
  /**
   * Felt peak planned then, less the limit of that skin and sensitivity without any learned shift, K; mostly −4 … 0.
   */
  readonly marginK: number;
  readonly felt: HeatFelt;
}

export interface FeltShift {
  /** What the limit is moved by, K: negative = cooler than usual. */
  readonly shiftK: number;
  readonly meanK: number;
  /** 5th and 95th percentile of the posterior, K. */
  readonly band: readonly [number, number];
  /** How many answers it rests on. */
  readonly answers: number;
}

const PRIOR_K = 1;
const SPREAD_K = 1;
const WARM_FROM_K = -0.5;
const COOL_UNDER_K = -3.5;
/** Further under the limit than this only "too warm" is heard, K. */
const HEARD_FROM_K = -4;
const REACH_K = 4;
const STEP_K = 0.05;
const MOST_DOWN_K = -3;
const MOST_UP_K = 0.8;
/** A shift up counts at this percentile of the posterior. */
const SURE = 0.2;

function likelihood({ marginK, felt }: FeltVisit, shiftK: number): number {
  // "too warm" far under the limit is taken for one that came near it: the model must not explain it away
  const m = Math.max(HEARD_FROM_K, marginK) - shiftK;
  const warm = normalCdfFast((m - WARM_FROM_K) / SPREAD_K);
  const cool = normalCdfFast((COOL_UNDER_K - m) / SPREAD_K);
  // a word slips now and then: no answer rules a shift out
  const share = { 'too-warm': warm, 'too-cool': cool, right: Math.max(0, 1 - warm - cool) };
  return 0.02 + share[felt];
}

/** True where the answer says something of this client's limit. */
export const speaksOfLimit = ({ marginK, felt }: FeltVisit): boolean => felt === 'too-warm' || marginK >= HEARD_FROM_K;

/** Posterior of the shift; 0 with the prior's band where nothing is known. */
export function learnFelt(said: readonly FeltVisit[]): FeltShift {
  const visits = said.filter(speaksOfLimit);
  const grid = Array.from({ length: Math.round((2 * REACH_K) / STEP_K) + 1 }, (_, i) => -REACH_K + i * STEP_K);
  const weights = grid.map((d) => visits.reduce((w, v) => w * likelihood(v, d), Math.exp(-0.5 * (d / PRIOR_K) ** 2)));
  const whole = weights.reduce((a, b) => a + b, 0);
  const percentile = (p: number): number => {
    let sum = 0;
    return grid.find((_, i) => (sum += (weights[i] ?? 0) / whole) >= p) ?? REACH_K;
  };
  const meanK = grid.reduce((s, d, i) => s + d * ((weights[i] ?? 0) / whole), 0);
  const heard = (): number => {
    if (visits.length === 0) return 0;
    return meanK < 0 ? Math.max(MOST_DOWN_K, meanK) : Math.min(MOST_UP_K, Math.max(0, percentile(SURE)));
  };
  const shiftK = heard();
  return {
    shiftK: Math.round(shiftK * 100) / 100,
    meanK,
    band: [percentile(0.05), percentile(0.95)],
    answers: visits.length,
  };
}

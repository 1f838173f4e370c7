// Film wax in two coats: the first cools on the skin while it rests, the second is laid hot over it. The longer the
// rest, the sooner the whole has set and the sooner it is brittle; a first coat left alone is brittle within half a
// minute. Coats are half the slab each.

import { LATEST_PULL_CAP_S, overFirstCoat, solveSkinHeat, type SkinHeat, type SkinHeatInput } from './skinHeat';

/** Shortest and longest rest between two coats, s (common practice, no source). */
export const REST_S = { min: 8, max: 20 } as const;
/** A rest between the bounds that is solved too, and those beyond them, for a table that went otherwise; s. */
const BETWEEN_S = 14;
const BEYOND_S = { shorter: [0], longer: [30, 60, 120] } as const;
/** The second coat is on before the first is brittle by this much, s. */
const BEFORE_BRITTLE_S = 4;

export interface SetAfterRest {
  /** From the end of the first lay to the start of the second, s. */
  readonly restS: number;
  /** Set from and latest pull, s after the end of the last lay. */
  readonly setS: { readonly min: number; readonly max: number };
}

export interface CoatHeat {
  readonly coatMm: number;
  /** Longest rest, s. */
  readonly restMaxS: number;
  /** By rising rest. */
  readonly afterRest: readonly SetAfterRest[];
  /** The window that holds for every rest from the shortest to the longest. */
  readonly setS: { readonly min: number; readonly max: number };
}

/** The second coat on a first that has rested: times from the end of the second lay, s. */
export const solveSecondCoat = (input: SkinHeatInput, restS: number): SkinHeat =>
  solveSkinHeat(input, overFirstCoat(input, restS));

/**
 * Set windows of two coats by the rest between them.
 * @param input slab of both coats together, mm; touch of each, °C
 * @param rests those that are planned, or all that a table may come to
 */
export function solveCoats(input: Omit<SkinHeatInput, 'endS'>, rests: 'planned' | 'all' = 'planned'): CoatHeat {
  const whole = { ...input, endS: LATEST_PULL_CAP_S };
  const coatMm = input.thicknessMm / 2;
  const alone = solveSkinHeat({ ...whole, thicknessMm: coatMm });
  const restMaxS = Math.max(REST_S.min, Math.min(REST_S.max, Math.floor(alone.latestPullS - BEFORE_BRITTLE_S)));
  const planned = [...new Set([REST_S.min, Math.min(BETWEEN_S, restMaxS), restMaxS])];
  const wanted = rests === 'planned' ? planned : [...BEYOND_S.shorter, ...planned, ...BEYOND_S.longer];
  const afterRest = wanted.map((restS): SetAfterRest => {
    const { setAfterS, latestPullS } = solveSecondCoat(whole, restS);
    return { restS, setS: { min: Math.ceil(setAfterS ?? LATEST_PULL_CAP_S), max: Math.floor(latestPullS) } };
  });
  return {
    coatMm,
    restMaxS,
    afterRest,
    setS: { min: windowAfter(afterRest, REST_S.min).min, max: windowAfter(afterRest, restMaxS).max },
  };
}

/**
 * The window for a rest, on the safe side of the rests that were solved: set from the next shorter, latest pull from
 * the next longer.
 */
export function windowAfter(
  afterRest: readonly SetAfterRest[],
  restS: number,
): { readonly min: number; readonly max: number } {
  const shorter = afterRest.findLast((a) => a.restS <= restS) ?? afterRest[0];
  const longer = afterRest.find((a) => a.restS >= restS) ?? afterRest.at(-1);
  return { min: shorter?.setS.min ?? LATEST_PULL_CAP_S, max: longer?.setS.max ?? 0 };
}

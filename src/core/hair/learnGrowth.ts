// What this client's own visits say about rate and lag: a Bayesian grid over (rate factor, lag shift).
// Prior: rate factor log-normal, median 1, CV 0.25 between persons; lag shift normal, sd 1.5 days. The measured typical
// length is log-normal round the model's median of the visible hair, CV 0.10. All from memory.
// Fixed intervals confound rate and lag; the posterior says so by staying wide.

import {
  logNormalStrata,
  normalQuantile,
  daysBetween,
  recaller,
  sigmaOfCv,
  type CivilDate,
  type Recall,
} from '../shared';
import type { GrowthOfZone } from '../anatomy';
import { regrowthModel, VISIBLE_MM, type PersonalGrowth } from './regrowth';
import type { Hair, HairHistory } from './types';

const BETWEEN_CV = 0.25;
const MEASURED_CV = 0.1;
const LAG_SD_DAYS = 1.5;
const RATE_STEPS = 41;
const LAG_STEPS = 7;
/** Under this many days nothing measurable stands. */
const TOO_EARLY_DAYS = 8;

export interface LengthObservation {
  /** Days since the wax before. */
  readonly days: number;
  readonly lengthMm: number;
}

export interface LearnedGrowth {
  /** Posterior mean. */
  readonly person: PersonalGrowth;
  /** 5 %, 25 %, 75 %, 95 % points of the rate factor. */
  readonly rateBand: readonly [number, number, number, number];
  /** How many measured intervals it rests on. */
  readonly visits: number;
}

/** Median length of the visible hair `days` after a wax, mm. */
export function typicalVisibleLength(
  growth: GrowthOfZone,
  history: HairHistory,
  person: PersonalGrowth,
  days: number,
): number {
  const model = regrowthModel(growth, history, person, [8, 4]);
  const half = model.shareAtLeast(VISIBLE_MM, days) / 2;
  if (half <= 0) return VISIBLE_MM;
  let low = VISIBLE_MM;
  // nothing grows twice as fast as the median
  let high = VISIBLE_MM + 2 * growth.rateMmPerDay * person.rateFactor * (days + 6);
  for (let i = 0; i < 14; i++) {
    const mid = (low + high) / 2;
    if (model.shareAtLeast(mid, days) > half) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/**
 * Pairs each measured length with the days since the wax before it. Lengths after a shave say nothing and are left out.
 */
export function observationsOf(hair: Hair, on: CivilDate): readonly LengthObservation[] {
  if (hair.history === 'shaved' || hair.history === 'first') return [];
  const measured = [...hair.past, { on, lengthMm: hair.lengthMm }].sort((a, b) => (a.on < b.on ? -1 : 1));
  const waxDates = [...new Set([...hair.past.map((v) => v.on), ...(hair.lastWaxOn ? [hair.lastWaxOn] : [])])].sort();
  // both run forward together: a client of twenty years has hundreds
  let passed = 0;
  const before = (date: CivilDate): CivilDate | undefined => {
    while ((waxDates[passed] ?? date) < date) passed++;
    return waxDates[passed - 1];
  };
  return measured.flatMap((v) => {
    const last = before(v.on);
    const days = last ? daysBetween(last, v.on) : 0;
    return days >= TOO_EARLY_DAYS && days <= 120 ? [{ days, lengthMm: v.lengthMm }] : [];
  });
}

const lagShifts = Array.from({ length: LAG_STEPS }, (_, j) => LAG_SD_DAYS * normalQuantile((j + 0.5) / LAG_STEPS));

/**
 * Typical lengths `days` after a wax for each rate of the grid, at the early, the middle and the late lag shift, mm.
 */
export type LengthTable = readonly (readonly [number, number, number])[];

/** Equally likely under the prior, so weights start equal. */
const factors = logNormalStrata(1, BETWEEN_CV, RATE_STEPS);

function lengthTable(growth: GrowthOfZone, history: HairHistory, days: number): LengthTable {
  const far = lagShifts[LAG_STEPS - 1] ?? 1;
  return factors.map((rateFactor) => {
    const at = (lagShiftDays: number): number =>
      typicalVisibleLength(growth, history, { rateFactor, lagShiftDays }, days);
    return [at(-far), at(0), at(far)];
  });
}

/** Typical length at a lag shift: a parabola through the outer and the middle shift. */
function lengthAt([early, middle, late]: LengthTable[number], shift: number): number {
  const u = shift / (lagShifts[LAG_STEPS - 1] ?? 1);
  return middle + ((late - early) / 2) * u + ((late + early) / 2 - middle) * u ** 2;
}

/** What learning remembers from one client to the next: the tables depend on zone, history and days alone. */
export type GrowthMemory = Recall<LengthTable>;
/** Room for the usual intervals of every zone; a table is a kilobyte. */
export const growthMemory = (): GrowthMemory => recaller(6000);

/** Posterior of rate and lag from the observations; without any it is the prior. */
export function learnGrowth(
  growth: GrowthOfZone,
  history: HairHistory,
  observations: readonly LengthObservation[],
  memory: GrowthMemory = growthMemory(),
): LearnedGrowth {
  const sigma = sigmaOfCv(MEASURED_CV);
  const tables = observations.map(({ days }) =>
    memory(JSON.stringify([growth, history, days]), () => lengthTable(growth, history, days)),
  );
  const weights = factors.map((_, i) =>
    lagShifts.map((lagShiftDays) => {
      const misfit = observations.reduce((total, o, k) => {
        const row = tables[k]?.[i];
        const z = Math.log(o.lengthMm / (row ? lengthAt(row, lagShiftDays) : o.lengthMm)) / sigma;
        return total + 0.5 * z * z;
      }, 0);
      return Math.exp(-Math.min(misfit, 600));
    }),
  );
  const rateWeights = weights.map((row) => row.reduce((a, b) => a + b, 0));
  const total = rateWeights.reduce((a, b) => a + b, 0);
  const rateFactor = factors.reduce((s, f, i) => s + f * (rateWeights[i] ?? 0), 0) / total;
  const lagShiftDays =
    lagShifts.reduce((s, lag, j) => s + lag * weights.reduce((a, row) => a + (row[j] ?? 0), 0), 0) / total;
  const point = (p: number): number => quantileOf(factors, rateWeights, p * total);
  return {
    person: { rateFactor, lagShiftDays },
    rateBand: [point(0.05), point(0.25), point(0.75), point(0.95)],
    visits: observations.length,
  };
}

/** Value at which the running weight reaches `target`, linear between the grid's points. */
function quantileOf(values: readonly number[], weights: readonly number[], target: number): number {
  let run = 0;
  let lastMid = 0;
  let lastValue = values[0] ?? 1;
  for (const [i, value] of values.entries()) {
    const mid = run + (weights[i] ?? 0) / 2;
    if (mid >= target) {
      return i === 0 || mid === lastMid
        ? value
        : lastValue + ((value - lastValue) * (target - lastMid)) / (mid - lastMid);
    }
    run += weights[i] ?? 0;
    [lastMid, lastValue] = [mid, value];
  }
  return lastValue;
}

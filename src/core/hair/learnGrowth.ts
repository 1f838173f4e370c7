// What this client's own visits say about rate and lag: a Bayesian grid over (rate factor, lag shift, reading noise).
// Prior: rate factor log-normal, median 1, CV 0.25 between persons; lag shift normal, sd 1.5 days. An interval went one
// of three ways: waxed and read (the typical length is log-normal round the model's median of the visible hair), shaved
// somewhere in between (the hair then shows at once and is any length up to what it would be), or misread (any length).
// What most likely was shaved or misread is named and teaches next to nothing. All numbers from memory.
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
/** How closely lengths are read, CV, and how likely each is. */
const READ_CVS = [
  { cv: 0.09, prior: 0.4 },
  { cv: 0.16, prior: 0.3 },
  { cv: 0.24, prior: 0.3 },
] as const;
/** How likely an interval was shaved, or its length misread; and the lengths that a slip of the pen can give, mm. */
const SHAVED_PRIOR = 0.05;
const MISREAD_PRIOR = 0.01;
const MISREAD_MM = [0.5, 60] as const;
/** An interval is doubted from this probability on. */
const DOUBTED_FROM = 0.6;
const LAG_SD_DAYS = 1.5;
const RATE_STEPS = 41;
const LAG_STEPS = 7;
/** Under this many days nothing measurable stands. */
const TOO_EARLY_DAYS = 8;

export interface LengthObservation {
  /** Days since the wax before. */
  readonly days: number;
  readonly lengthMm: number;
  /** Day on which it was measured. */
  readonly on?: CivilDate | undefined;
}

/** A length that does not fit the others. */
export interface DoubtedLength {
  readonly on: CivilDate | null;
  readonly lengthMm: number;
  readonly maybe: 'shaved' | 'misread';
  readonly probability: number;
}

export interface LearnedGrowth {
  /** Posterior mean. */
  readonly person: PersonalGrowth;
  /** 5 %, 25 %, 75 %, 95 % points of the rate factor. */
  readonly rateBand: readonly [number, number, number, number];
  /** How many measured intervals it rests on: those that are not doubted. */
  readonly visits: number;
  readonly doubts: readonly DoubtedLength[];
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
 * Pairs each measured length with the days since the wax before it. Today's length after a shave says nothing and is
 * left out; what was measured before stays.
 */
export function observationsOf(hair: Hair, on: CivilDate): readonly LengthObservation[] {
  if (hair.history === 'first') return [];
  const today = hair.history === 'shaved' ? [] : [{ on, lengthMm: hair.lengthMm }];
  const measured = [...hair.past, ...today].sort((a, b) => (a.on < b.on ? -1 : 1));
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
    return days >= TOO_EARLY_DAYS && days <= 120 ? [{ days, lengthMm: v.lengthMm, on: v.on }] : [];
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

const SIGMAS = READ_CVS.map(({ cv, prior }) => ({ sigma: sigmaOfCv(cv), prior }));
const misreadDensity = MISREAD_PRIOR / Math.log(MISREAD_MM[1] / MISREAD_MM[0]);
const WAXED_PRIOR = 1 - SHAVED_PRIOR - MISREAD_PRIOR;

/** Densities in the logarithm of the length, by what may have happened in the interval. */
interface Likely {
  readonly waxed: number;
  readonly shaved: number;
  readonly misread: number;
}

/** Shaved on any day of the interval: every length up to the whole growth is as likely, in mm. */
function likely(lengthMm: number, expectedMm: number, grownMm: number, sigma: number): Likely {
  const z = Math.log(lengthMm / expectedMm) / sigma;
  return {
    waxed: (WAXED_PRIOR * Math.exp(-0.5 * z * z)) / (sigma * Math.sqrt(2 * Math.PI)),
    shaved: lengthMm < grownMm ? (SHAVED_PRIOR * lengthMm) / grownMm : 0,
    misread: misreadDensity,
  };
}

interface Cell {
  readonly rate: number;
  readonly lag: number;
  readonly logWeight: number;
  readonly ways: readonly Likely[];
}

/** Posterior of rate and lag from the observations; without any it is the prior. */
export function learnGrowth(
  growth: GrowthOfZone,
  history: HairHistory,
  observations: readonly LengthObservation[],
  memory: GrowthMemory = growthMemory(),
): LearnedGrowth {
  // a shave today changes nothing of how the hair came back after earlier waxes
  const usual: HairHistory = history === 'shaved' ? 'regular' : history;
  const tables = observations.map(({ days }) =>
    memory(JSON.stringify([growth, usual, days]), () => lengthTable(growth, usual, days)),
  );
  const cells = factors.flatMap((factor, rate) =>
    lagShifts.flatMap((lagShiftDays, lag) =>
      SIGMAS.map(({ sigma, prior }): Cell => {
        const ways = observations.map((o, k) => {
          const row = tables[k]?.[rate];
          const expectedMm = row ? lengthAt(row, lagShiftDays) : o.lengthMm;
          return likely(o.lengthMm, expectedMm, growth.rateMmPerDay * factor * o.days, sigma);
        });
        const logWeight = ways.reduce((s, w) => s + Math.log(w.waxed + w.shaved + w.misread), Math.log(prior));
        return { rate, lag, logWeight, ways };
      }),
    ),
  );
  const most = Math.max(...cells.map((c) => c.logWeight));
  const weights = cells.map((c) => Math.exp(c.logWeight - most));
  const total = weights.reduce((a, b) => a + b, 0);
  const rateWeights = factors.map(() => 0);
  const lagWeights = lagShifts.map(() => 0);
  cells.forEach((c, n) => {
    const weight = weights[n] ?? 0;
    rateWeights[c.rate] = (rateWeights[c.rate] ?? 0) + weight;
    lagWeights[c.lag] = (lagWeights[c.lag] ?? 0) + weight;
  });
  const meanOf = (values: readonly number[], by: readonly number[]): number =>
    by.reduce((s, w, i) => s + w * (values[i] ?? 0), 0) / total;
  const doubts = doubtsOf(observations, cells, weights);
  const point = (p: number): number => quantileOf(factors, rateWeights, p * total);
  return {
    person: { rateFactor: meanOf(factors, rateWeights), lagShiftDays: meanOf(lagShifts, lagWeights) },
    rateBand: [point(0.05), point(0.25), point(0.75), point(0.95)],
    visits: observations.length - doubts.length,
    doubts,
  };
}

/** Lengths that most likely were not simply waxed and read. */
function doubtsOf(
  observations: readonly LengthObservation[],
  cells: readonly Cell[],
  weights: readonly number[],
): readonly DoubtedLength[] {
  const total = weights.reduce((a, b) => a + b, 0);
  return observations.flatMap(({ on, lengthMm }, k): DoubtedLength[] => {
    const share = (way: keyof Likely): number =>
      cells.reduce((s, c, n) => {
        const w = c.ways[k];
        return w ? s + ((weights[n] ?? 0) * w[way]) / (w.waxed + w.shaved + w.misread) : s;
      }, 0) / total;
    const [shaved, misread] = [share('shaved'), share('misread')];
    if (shaved + misread < DOUBTED_FROM) return [];
    return [
      { on: on ?? null, lengthMm, maybe: shaved >= misread ? 'shaved' : 'misread', probability: shaved + misread },
    ];
  });
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

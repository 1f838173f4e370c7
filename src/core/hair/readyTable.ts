// Ready windows of many clients at once: days worked out once on a grid of rate factors, then read between them. The
// window of a person in between is a straight line in the logarithm of the rate; a lag that is later by so many days
// moves it by as many.

import type { GrowthOfZone } from '../anatomy';
import { clamp } from '../shared';
import {
  HORIZON_DAYS,
  regrowthModel,
  VISIBLE_MM,
  type PersonalGrowth,
  type ReadyWindow,
  type RegrowthModel,
} from './regrowth';
import type { LengthRange } from './todaysLengths';
import type { HairHistory } from './types';

const RATES = 25;
const SLOWEST = 0.45;
const FASTEST = 2.2;
const STRATA = [14, 7] as const;
const COARSE_DAYS = 2;
const BISECTIONS = 7;
/** Room beyond the horizon, so that a window that a late lag pushes out of it is still known. */
const BEYOND_DAYS = 10;

/** When the hair is long enough and when too much is too long, days after the wax; `Infinity` = not in sight. */
interface Crossing {
  readonly from: number;
  readonly to: number;
}

/** One zone, history and range of lengths; `byRate` lies on equal steps of the logarithm. */
export interface ReadyTable {
  readonly byRate: readonly Crossing[];
}

const STEP = Math.log(FASTEST / SLOWEST) / (RATES - 1);

/** First moment after `from` at which `is` holds, days; it is looked for in coarse steps and then halved. */
function firstWhen(is: (day: number) => boolean, from: number): number {
  const end = HORIZON_DAYS + BEYOND_DAYS;
  let before = from;
  while (before < end && !is(before + COARSE_DAYS)) before += COARSE_DAYS;
  if (before >= end) return Infinity;
  let [low, high] = [before, before + COARSE_DAYS];
  for (let k = 0; k < BISECTIONS; k++) {
    const mid = (low + high) / 2;
    if (is(mid)) high = mid;
    else low = mid;
  }
  return high;
}

function crossingOf(model: RegrowthModel, { shortestMm, longestMm }: LengthRange): Crossing {
  const full = model.shareAtLeast(VISIBLE_MM, HORIZON_DAYS);
  const from = firstWhen((day) => {
    const visible = model.shareAtLeast(VISIBLE_MM, day);
    if (visible / full < 0.5) return false;
    return model.shareAtLeast(shortestMm, day) - model.shareAtLeast(longestMm, day) >= 0.7 * visible;
  }, 0);
  if (!Number.isFinite(from)) return { from, to: Infinity };
  const to = firstWhen((day) => model.shareAtLeast(longestMm, day) > 0.2 * model.shareAtLeast(VISIBLE_MM, day), from);
  return { from, to };
}

/** @param range what the product holds on this zone, mm */
export const readyTable = (growth: GrowthOfZone, history: HairHistory, range: LengthRange): ReadyTable => ({
  byRate: Array.from({ length: RATES }, (_, i) =>
    crossingOf(
      regrowthModel(growth, history, { rateFactor: SLOWEST * Math.exp(STEP * i), lagShiftDays: 0 }, STRATA),
      range,
    ),
  ),
});

/** The window of one person, as `readyWindow` has it, within a day; null = never within the horizon. */
export function readyBy(table: ReadyTable, { rateFactor, lagShiftDays }: PersonalGrowth): ReadyWindow | null {
  const at = clamp(Math.log(rateFactor / SLOWEST) / STEP, 0, RATES - 1);
  const i = Math.min(RATES - 2, Math.floor(at));
  const [slow, fast] = [table.byRate[i], table.byRate[i + 1]];
  if (!slow || !fast) return null;
  const between = (a: number, b: number): number => (b === a ? a : a + (b - a) * (at - i));
  const from = between(slow.from, fast.from) + lagShiftDays;
  const to = between(slow.to, fast.to) + lagShiftDays;
  const fromDay = Math.ceil(from);
  if (!(fromDay <= HORIZON_DAYS)) return null;
  // the last day before too much is too long
  const last = Math.ceil(to) - 1;
  return { fromDay, toDay: Math.max(fromDay, Math.min(HORIZON_DAYS, Number.isFinite(last) ? last : HORIZON_DAYS)) };
}

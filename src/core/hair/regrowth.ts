// Regrowth after a wax. Every removed hair restarts from its root: a share fa + q·(1 − fa) after a lag uniform on 2–6
// days, the rest uniform on 4 … 4 + R days. It shows once the shaft has climbed the root's depth, so at day t it stands
// g·(t − lag) − depth above the skin. Rate (CV 0.18) and depth (CV 0.15) are log-normal within a person; both are
// integrated over fixed strata, the lag analytically. All values from memory. Left out: vellus hair, thinning over the
// years.

import { clamp, logNormalStrata } from '../shared';
import type { GrowthOfZone } from '../anatomy';
import type { LengthRange } from './todaysLengths';
import type { HairHistory } from './types';

/** A hair counts as visible from this length, mm. */
export const VISIBLE_MM = 0.5;
export const HORIZON_DAYS = 70;

const RATE_CV = 0.18;
const DEPTH_CV = 0.15;
const RATE_STRATA = 24;
const DEPTH_STRATA = 12;

/** Share of resting follicles that the pull wakes at once (from memory). */
const WOKEN: Readonly<Record<HairHistory, number>> = { regular: 0.7, lapsed: 0.5, first: 0.35, shaved: 0.35 };

/** How this person differs from the zone's median. */
export interface PersonalGrowth {
  /** Multiplies the growth rate. */
  readonly rateFactor: number;
  /** Added to every lag, days. */
  readonly lagShiftDays: number;
}
export const MEDIAN_PERSON: PersonalGrowth = { rateFactor: 1, lagShiftDays: 0 };

export interface RegrowthModel {
  /** Share of all follicles whose hair is at least `lengthMm` long on day `day`; 0–1. */
  shareAtLeast(lengthMm: number, day: number): number;
}

const uniformCdf = (x: number, from: number, to: number): number => clamp((x - from) / (to - from), 0, 1);

/** The length distribution of one zone over the days after a wax. `strata` may be lowered for fits. */
export function regrowthModel(
  growth: GrowthOfZone,
  history: HairHistory,
  person: PersonalGrowth = MEDIAN_PERSON,
  strata: readonly [number, number] = [RATE_STRATA, DEPTH_STRATA],
): RegrowthModel {
  const rates = logNormalStrata(growth.rateMmPerDay * person.rateFactor, RATE_CV, strata[0]);
  const depths = logNormalStrata(growth.depthMm, DEPTH_CV, strata[1]);
  const early = growth.growingShare + WOKEN[history] * (1 - growth.growingShare);
  const shift = person.lagShiftDays;
  const lagCdf = (x: number): number =>
    early * uniformCdf(x, 2 + shift, 6 + shift) +
    (1 - early) * uniformCdf(x, 4 + shift, 4 + shift + growth.restartSpreadDays);
  const shareAtLeast = (lengthMm: number, day: number): number => {
    let total = 0;
    for (const rate of rates) {
      const reach = rate * growth.growingDays;
      for (const depth of depths) if (depth + lengthMm <= reach) total += lagCdf(day - (depth + lengthMm) / rate);
    }
    return total / (rates.length * depths.length);
  };
  return { shareAtLeast };
}

export interface RegrowthDay {
  readonly day: number;
  /** V: share of follicles with visible hair. */
  readonly visible: number;
  /** G/V: share of the visible hair that is workable; 0 where nothing is visible. */
  readonly workableOfVisible: number;
  /** Share of the visible hair over the longest length. */
  readonly tooLongOfVisible: number;
}

/** Day by day, 0–70, for a product's workable lengths. */
export function regrowthCurve(model: RegrowthModel, range: LengthRange): readonly RegrowthDay[] {
  return Array.from({ length: HORIZON_DAYS + 1 }, (_, day) => {
    const visible = model.shareAtLeast(VISIBLE_MM, day);
    const long = model.shareAtLeast(range.longestMm, day);
    const workable = model.shareAtLeast(range.shortestMm, day) - long;
    return {
      day,
      visible,
      workableOfVisible: visible > 0 ? workable / visible : 0,
      tooLongOfVisible: visible > 0 ? long / visible : 0,
    };
  });
}

/** Last day on which the skin still counts as smooth: V/V(70) < 0.20. */
export function smoothUntilDay(model: RegrowthModel): number {
  const full = model.shareAtLeast(VISIBLE_MM, HORIZON_DAYS);
  let day = 0;
  while (day < HORIZON_DAYS && model.shareAtLeast(VISIBLE_MM, day + 1) / full < 0.2) day++;
  return day;
}

export interface ReadyWindow {
  readonly fromDay: number;
  readonly toDay: number;
}

/** First and last day (at most 70) on which the hair suits the product; null = never within the horizon. */
export function readyWindow(curve: readonly RegrowthDay[]): ReadyWindow | null {
  const full = curve[curve.length - 1]?.visible ?? 0;
  const from = curve.find((d) => d.workableOfVisible >= 0.7 && d.visible / full >= 0.5);
  if (!from) return null;
  let toDay = from.day;
  for (const d of curve.slice(from.day)) {
    if (d.tooLongOfVisible > 0.2) break;
    toDay = d.day;
  }
  return { fromDay: from.day, toDay };
}

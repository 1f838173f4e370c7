// Share of hair long enough over ten weeks for each family, for this client as learned so far, as lines for the chart.

import { ZONES, type Family } from '@/core/anatomy';
import {
  learnGrowth,
  observationsOf,
  regrowthCurve,
  regrowthModel,
  type PersonalGrowth,
  type RegrowthDay,
  type RegrowthModel,
} from '@/core/hair';
import type { BenchZone } from '@/server/services/bench';
import type { PlanRegrowth, PlanZone } from '@/core/plan';

export interface FamilyLine {
  readonly family: Family;
  readonly shortestMm: number;
  readonly longestMm: number;
  readonly days: readonly RegrowthDay[];
}

interface Learned {
  readonly person: PersonalGrowth;
  readonly visits: number;
  /** 5 % and 95 % rate factors. */
  readonly band: readonly [number, number];
}

/** As the plan has learned it, which is not done twice; plans of before it was kept do not say all of it. */
function learnedOf(zone: BenchZone, planned: PlanRegrowth | undefined, on: string): Learned {
  if (planned?.rateBand && planned.lagShiftDays !== undefined) {
    const { rateFactor, lagShiftDays, learnedFrom, rateBand } = planned;
    return { person: { rateFactor, lagShiftDays }, visits: learnedFrom, band: rateBand };
  }
  const { hair } = zone.data;
  const seen = observationsOf({ ...hair, lastWaxOn: zone.last?.on, past: zone.past }, on);
  const { person, visits, rateBand } = learnGrowth(ZONES[zone.zone].growth, hair.history, seen);
  return { person, visits, band: [rateBand[0], rateBand[3]] };
}

/** One line a family, from the shortest hair that its products hold on the zone. */
export function regrowthLines(
  zone: BenchZone,
  planned: PlanZone,
  regrowth: PlanRegrowth | undefined,
  on: string,
): {
  readonly lines: readonly FamilyLine[];
  readonly model: RegrowthModel;
  readonly visits: number;
  readonly band: readonly [number, number];
  readonly rateFactor: number;
} {
  const { person, visits, band } = learnedOf(zone, regrowth, on);
  const model = regrowthModel(ZONES[zone.zone].growth, zone.data.hair.history, person);
  const families = [
    ...new Set(
      planned.options
        .filter(
          (o) =>
            !o.excludedBy.some(
              (c) =>
                c === 'zone.family-never' ||
                c === 'studio.family' ||
                c.startsWith('allergy') ||
                c.startsWith('school') ||
                c.startsWith('way') ||
                c === 'heat.no-window',
            ),
        )
        .map((o) => o.family),
    ),
  ];
  const lines = families.map((family) => {
    const [range] = planned.options
      .filter(
        (o) =>
          o.family === family &&
          o.way !== 'crossed' &&
          !o.excludedBy.some((c) => c.startsWith('school') || c.startsWith('way') || c === 'heat.no-window'),
      )
      .sort((a, b) => a.shortestMm - b.shortestMm);
    return {
      family,
      shortestMm: range?.shortestMm ?? 4,
      longestMm: range?.longestMm ?? 13,
      days: regrowthCurve(model, { shortestMm: range?.shortestMm ?? 4, longestMm: range?.longestMm ?? 13 }),
    };
  });
  return {
    lines,
    model,
    visits,
    band,
    rateFactor: person.rateFactor,
  };
}

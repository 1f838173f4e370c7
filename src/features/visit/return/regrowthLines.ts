// Share of hair long enough over ten weeks for each family, for this client as learned so far, as lines for the chart.

import { ZONES, type Family } from '@/core/anatomy';
import {
  learnGrowth,
  observationsOf,
  regrowthCurve,
  regrowthModel,
  type RegrowthDay,
  type RegrowthModel,
} from '@/core/hair';
import type { BenchZone } from '@/server/services/bench';
import type { PlanZone } from '@/core/plan';

export interface FamilyLine {
  readonly family: Family;
  readonly shortestMm: number;
  readonly longestMm: number;
  readonly days: readonly RegrowthDay[];
}

/**
 * One line a family, from the shortest hair that its products hold on the zone. `band` are the 5 % and 95 % rate
 * factors.
 */
export function regrowthLines(
  zone: BenchZone,
  planned: PlanZone,
  on: string,
): {
  readonly lines: readonly FamilyLine[];
  readonly model: RegrowthModel;
  readonly visits: number;
  readonly band: readonly [number, number];
  readonly rateFactor: number;
} {
  const { growth } = ZONES[zone.zone];
  const { hair } = zone.data;
  const learned = learnGrowth(
    growth,
    hair.history,
    observationsOf({ ...hair, lastWaxOn: zone.last?.on, past: zone.past }, on),
  );
  const model = regrowthModel(growth, hair.history, learned.person);
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
    visits: learned.visits,
    band: [learned.rateBand[0], learned.rateBand[3]],
    rateFactor: learned.person.rateFactor,
  };
}

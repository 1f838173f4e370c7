// Regrowth after this visit, by the house's ways.

import { readyWindow, regrowthCurve, regrowthModel, smoothUntilDay, type LearnedGrowth } from '../hair';
import { usualRange, type Option } from '../matching';
import { addDays, roundTo } from '../shared';
import type { PlanRegrowth } from './planTypes';
import type { StudioFacts } from './visitCase';
import type { ZoneWork } from './zoneWork';

/** Regrowth after this visit: smooth days and, for every studio family, the window of its shortest-hair product. */
export function planRegrowth(
  { work, learned }: { readonly work: ZoneWork; readonly learned: LearnedGrowth },
  studio: StudioFacts,
  on: string,
  choice: Option | null,
): PlanRegrowth {
  const model = regrowthModel(work.zone.growth, work.hair.history, learned.person);
  const ready = studio.schools.families.flatMap((family) => {
    const usual = usualRange(family, work.zone, studio.products, studio.schools);
    // what made today possible, a crossed lay or a product for shorter hair, will next time too
    const range = choice?.family === family && choice.shortestMm < (usual?.shortestMm ?? Infinity) ? choice : usual;
    const window = range ? readyWindow(regrowthCurve(model, range)) : null;
    return window ? [{ family, fromOn: addDays(on, window.fromDay), toOn: addDays(on, window.toDay) }] : [];
  });
  return {
    zone: work.zone.id,
    side: work.input.side,
    smoothDays: smoothUntilDay(model),
    ready,
    learnedFrom: learned.visits,
    doubts: learned.doubts,
    rateFactor: roundTo(learned.person.rateFactor, 3),
    lagShiftDays: roundTo(learned.person.lagShiftDays, 2),
    rateBand: [roundTo(learned.rateBand[0], 3), roundTo(learned.rateBand[3], 3)],
  };
}

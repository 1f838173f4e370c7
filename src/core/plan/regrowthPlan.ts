// Regrowth after this visit, by the house's ways.

import type { Family } from '../anatomy';
import { readyWindow, regrowthCurve, regrowthModel, smoothUntilDay, type LearnedGrowth } from '../hair';
import { lengthRange, sugarWayFor, type MatchInput, type Schools } from '../matching';
import { mannerOf, type Product, type Way } from '../products';
import { addDays, roundTo } from '../shared';
import type { PlanRegrowth } from './planTypes';
import type { StudioFacts } from './visitCase';
import type { ZoneWork } from './zoneWork';

/** The way in which a family would be worked on this zone by the house rules. */
function usualWay(family: Family, match: MatchInput, schools: Schools): Way {
  if (family === 'soft') return 'with';
  if (family === 'hard') return schools.hardLay;
  return sugarWayFor(match.zone, schools) === 'hand' ? 'moulded' : 'strip';
}

/** Regrowth after this visit: smooth days and, for every studio family, the window of its shortest-hair product. */
export function planRegrowth(
  work: ZoneWork,
  match: MatchInput,
  studio: StudioFacts,
  learned: LearnedGrowth,
  on: string,
): PlanRegrowth {
  const model = regrowthModel(work.zone.growth, work.hair.history, learned.person);
  const ready = studio.schools.families.flatMap((family) => {
    const ranges = studio.products
      .filter((p: Product) => p.family === family && work.zone.families.includes(family))
      .flatMap((p) => {
        const way = usualWay(family, match, studio.schools);
        const manner = mannerOf(p, way);
        return manner ? [lengthRange(manner, work.zone, way)] : [];
      })
      .sort((a, b) => a.shortestMm - b.shortestMm);
    const [range] = ranges;
    const window = range ? readyWindow(regrowthCurve(model, range)) : null;
    return window ? [{ family, fromOn: addDays(on, window.fromDay), toOn: addDays(on, window.toDay) }] : [];
  });
  return {
    zone: work.zone.id,
    side: work.input.side,
    smoothDays: smoothUntilDay(model),
    ready,
    learnedFrom: learned.visits,
    rateFactor: roundTo(learned.person.rateFactor, 3),
  };
}

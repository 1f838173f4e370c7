// The heat of a zone's choice as the plan says it.

import { boundWords, learnFelt, potForTouch, solveCoats, speaksOfLimit } from '../heat';
import { heatOfOption, laterWindow, passLimit, type MatchInput, type Option } from '../matching';
import { mannerName } from '../products';
import { roundTo } from '../shared';
import type { PlanHeat } from './planTypes';
import type { ClientCase } from './visitCase';

/** Heat of the chosen option: window, pot, felt peak, set and latest pull, and the window of a later pass. */
export function planHeat(choice: Option, match: MatchInput, client: ClientCase): PlanHeat {
  const { product, manner, way } = choice;
  const name = mannerName(product.family, way);
  const { window: w, setS, heat, need, rest } = heatOfOption(match, product, manner, way, choice.coats);
  // what is left may be gone over again where a further pass is allowed, whether one is expected or not
  const later = passLimit(match, product) < 2 ? null : laterWindow(match, product, manner, way);
  const said = (client.heatFelt ?? []).filter(speaksOfLimit);
  const felt = learnFelt(said);
  // the table may rest a coat longer or shorter than any plan
  const all = rest && solveCoats({ ...need, touchC: w.targetC, thicknessMm: w.thicknessMm }, 'all');
  return {
    workingC: { min: roundTo(w.minC, 1), target: roundTo(w.targetC, 1), max: roundTo(w.maxC, 1) },
    potC: roundTo(potForTouch(w.targetC, name, { product, roomC: match.roomC }), 1),
    thicknessMm: w.thicknessMm,
    feltPeakC: roundTo(heat.feltPeakC, 2),
    burnOmega: Number(heat.burnOmega.toPrecision(3)),
    setS: { min: setS.min, max: setS.max },
    wristTest: true,
    bands: {
      flowC: [roundTo(w.flowC.min, 1), roundTo(w.flowC.max, 1)],
      feelMaxC: roundTo(w.feelMaxC, 1),
      labelC: [w.labelC.min, w.labelC.max],
    },
    limitC: roundTo(w.limitC, 2),
    bounds: boundWords(w),
    learned: said.length === 0 ? null : { shiftK: felt.shiftK, visits: new Set(said.map((h) => h.on)).size },
    asked:
      need.thicknessMm === undefined && need.touchC === undefined
        ? null
        : { thicknessMm: need.thicknessMm ?? null, touchC: need.touchC ?? null },
    coats: Array.from({ length: choice.coats }, () => ({ thicknessMm: roundTo(w.thicknessMm / choice.coats, 2) })),
    restMaxS: rest?.mostS ?? null,
    rest: rest && all && { mostS: rest.mostS, afterRest: all.afterRest },
    laterPass:
      later && !later.empty
        ? { min: roundTo(later.minC, 1), target: roundTo(later.targetC, 1), max: roundTo(later.maxC, 1) }
        : null,
  };
}

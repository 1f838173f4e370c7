// The strips of a zone's choice as the plan shows them: in order of laying, with what the hands do at each.

import { subdivisionAt } from '../anatomy';
import { meanCrossing, type GrowthField } from '../field';
import { massUsedG } from '../materials';
import type { Option } from '../matching';
import { mannerName } from '../products';
import { handworkOf, isSpread, patchesOf } from '../strips';
import { roundTo, samplePoints, type Ring, type Vec } from '../shared';
import type { PlanHeat, PlanStrip } from './planTypes';
import { at4, at6, ring4 } from './rounded';
import type { ZoneWork } from './zoneWork';

const BY_EYE_WORDS = 'Hair turns in a circle here: comb, then lay this small piece by eye as it lies.';

/** Points over a strip, close enough to tell what crosses under it. */
const strewn = (outline: Ring): readonly Vec[] => samplePoints([outline], 0.4);

function crossingUnder(field: GrowthField, outline: Ring): PlanStrip['crossing'] {
  const c = field.crossing && meanCrossing(field, strewn(outline));
  return c ? { growth: at6(c.towards), share: roundTo(c.share, 3) } : null;
}

const middleOf = (outline: Ring): Vec => [
  outline.reduce((s, p) => s + p[0], 0) / outline.length,
  outline.reduce((s, p) => s + p[1], 0) / outline.length,
];

/** What the hands do where a patch is spread at once, by strip; empty where each strip is laid on its own. */
function spreadWords(
  work: ZoneWork,
  choice: Option,
): ReadonlyMap<string, { readonly words: string; readonly opener: string | null }> {
  if (!isSpread(work.zone, choice.family, choice.way)) return new Map();
  return new Map(
    patchesOf(work.layout(choice.product, choice.way).strips)
      .filter((ids) => ids.length > 1)
      .flatMap((ids) =>
        ids.map((id, k): [string, { words: string; opener: string | null }] => [
          id,
          k === 0
            ? {
                words: `Spread over this and the next ${ids.length - 1} at once, thin; then cloth by cloth from the free end.`,
                opener: null,
              }
            : { words: 'Already spread: cloth on, rub along the growth, pull.', opener: ids[0] ?? null },
        ]),
      ),
  );
}

/** In order of laying; `orderOf` is the order over all zones of the visit. */
export function planStrips(
  choice: Option,
  heat: PlanHeat,
  work: ZoneWork,
  orderOf: ReadonlyMap<string, number>,
): readonly PlanStrip[] {
  const manner = mannerName(choice.family, choice.way);
  const spread = spreadWords(work, choice);
  return work
    .layout(choice.product, choice.way)
    .strips.map((s): PlanStrip => {
      const hand = handworkOf({
        zone: work.zone.id,
        family: choice.family,
        lengthCm: s.lengthCm,
        coarseness: work.hair.coarseness,
        dab: s.dab,
      });
      return {
        id: s.id,
        order: orderOf.get(s.id) ?? s.order,
        number: 0,
        outline: ring4(s.outline),
        growth: at6(s.growth),
        place: subdivisionAt(work.zone.id, work.input.side, work.sheet, middleOf(s.outline)),
        crossing: crossingUnder(work.field, s.outline),
        density: s.density === null ? null : roundTo(s.density, 2),
        lay: at6(s.lay),
        pull: at6(s.pull),
        turnDeg: s.turnDeg ?? 0,
        tab: at4(s.tab),
        tabOn: s.tabOn,
        tabKind: s.tabKind,
        byEye: s.byEye ?? false,
        dab: s.dab ?? false,
        pass: 1,
        lengthMm: roundTo(s.lengthCm * 10, 1),
        widthMm: roundTo(s.widthCm * 10, 1),
        thicknessMm: heat.thicknessMm,
        massG: roundTo(
          massUsedG({
            product: choice.product,
            manner,
            areaCm2: s.areaCm2,
            thicknessMm: heat.thicknessMm,
            coats: choice.coats,
          }),
          2,
        ),
        touches: s.touches,
        needsBefore: s.needsBefore,
        pulls: hand.pulls,
        pace: hand.pace,
        handwork: spread.get(s.id)?.words ?? ((s.byEye && BY_EYE_WORDS) || hand.note),
        spreadWith: spread.get(s.id)?.opener ?? null,
        setS: heat.setS,
      };
    })
    .sort((a, b) => a.order - b.order)
    .map((s, k) => ({ ...s, number: k + 1 }));
}

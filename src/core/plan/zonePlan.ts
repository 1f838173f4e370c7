// From a zone's choice to its part of the plan: heat, strips, reasons; and from its hair to regrowth and return
// windows.

import { howMuchFor } from '../agreement';
import { nodeCentre, nodeDirection, type GrowthField } from '../field';
import {
  becauseOf,
  choiceReasons,
  noChoiceReasons,
  type MatchInput,
  type Option,
  type Ranked,
  type VisitChoice,
  type WhatElse,
  type ZoneMatch,
} from '../matching';
import type { ZoneJudgement } from '../screening';
import { isStopped } from '../screening';
import { largestStrip, stripFaults, zoneShapes, type HandLevel } from '../strips';
import { roundTo } from '../shared';
import { planHeat } from './heatPlan';
import { openersOf, planOption } from './optionPlan';
import { at4, at6, ring4 } from './rounded';
import { planStrips } from './stripPlan';
import { hairNotes } from './hairNotes';
import type { PlanMemory } from './planMemory';
import type { PlanZone } from './planTypes';
import { betterReasons, heatReasons } from './choiceNotes';
import { pressFor } from './stripJobs';
import type { ClientCase } from './visitCase';
import type { ZoneWork } from './zoneWork';

/** Field nodes on a grid of at most 5 mm, finer on small zones, as [x, y, dx, dy]. */
function coarseField(field: GrowthField): readonly (readonly [number, number, number, number])[] {
  const stride = Math.max(
    1,
    Math.floor(Math.min(0.5, (Math.min(field.columns, field.rows) * field.spacingCm) / 8) / field.spacingCm),
  );
  const out: (readonly [number, number, number, number])[] = [];
  for (let j = 0; j < field.rows; j += stride) {
    for (let i = 0; i < field.columns; i += stride) {
      const node = j * field.columns + i;
      const [x, y] = at4(nodeCentre(field, node));
      const [dx, dy] = at6(nodeDirection(field, node));
      out.push([x, y, dx, dy]);
    }
  }
  return out;
}

/** What was changed by hand in a zone's strips, and the rules that it breaks. */
function handFacts(
  work: ZoneWork,
  choice: Option | null,
  level: HandLevel,
  smallStrips: boolean,
): Pick<PlanZone, 'byHand' | 'stripFaults' | 'fade'> {
  const layout = choice && work.layout(choice.product, choice.way);
  const byHand = layout?.byHand ?? false;
  return {
    byHand,
    stripFaults:
      layout && byHand
        ? stripFaults(layout, work.field, {
            largestCm: largestStrip(work.zone, choice.family, level, smallStrips),
            fade: zoneShapes({
              zone: work.zone.id,
              side: work.input.side,
              family: choice.family,
              sheet: work.sheet,
              fade: work.fade,
            }).fade,
          })
        : [],
    fade: work.fade !== undefined,
  };
}

export interface ZonePlanInput {
  readonly work: ZoneWork;
  readonly judgement: ZoneJudgement;
  readonly found: ZoneMatch;
  /** What is taken for the whole visit, at the heat of its pot; null where nothing is. */
  readonly chosen: { readonly made: VisitChoice; readonly choice: Ranked; readonly match: MatchInput } | null;
  /** What is said of a pot that it shares with other zones. */
  readonly pot: string | null;
  readonly match: MatchInput;
  readonly client: ClientCase;
  readonly memory: PlanMemory;
  readonly else: readonly WhatElse[];
  readonly orderOf: ReadonlyMap<string, number>;
  readonly level: HandLevel;
  readonly withField: boolean;
}

export function planZone({
  work,
  judgement,
  found,
  chosen,
  pot,
  match: asked,
  client,
  memory,
  else: others,
  orderOf,
  level,
  withField,
}: ZonePlanInput): PlanZone {
  const { options } = found;
  const choice = chosen?.choice ?? null;
  const match = chosen?.match ?? asked;
  const because = chosen ? becauseOf(chosen.made, found) : [];
  const heat = choice ? planHeat(choice, match, client) : null;
  const cover = choice ? work.layout(choice.product, choice.way).cover : null;
  const reasonsOf = (): readonly string[] => {
    if (choice) {
      return [
        ...because.map((b) => b.text),
        ...choiceReasons(choice, match.schools, work.sheet.basis === 'reference-adult'),
        ...(pot === null ? [] : [pot]),
        ...(heat ? heatReasons(heat, match) : []),
        ...betterReasons(others, choice),
      ];
    }
    if (isStopped(judgement.outcome)) return ['Stopped by the screening; the options show what it would be.'];
    const otherFamilies = others.filter((o) => o.kind === 'other-family');
    return [...noChoiceReasons(options, work.hairAreaCm2), ...betterReasons(otherFamilies, null)];
  };
  return {
    zone: work.zone.id,
    side: work.input.side,
    outcome: judgement.outcome,
    areaCm2: roundTo(work.areaCm2, 2),
    hairAreaCm2: roundTo(work.hairAreaCm2, 2),
    hairs: Math.round(work.hairAreaCm2 * work.hairsPerCm2),
    line: { lengthCm: roundTo(work.line.lengthCm, 1), hairs: Math.round(work.line.hairs) },
    sheetCm: [roundTo(work.sheet.widthCm, 2), roundTo(work.sheet.heightCm, 2)],
    basis: work.sheet.basis,
    crossingShare: roundTo(work.crossing.share, 3),
    outline: ring4(work.sheet.outline),
    excluded: work.exclusions,
    agreed: work.input.outcome ?? howMuchFor(work.zone.id)[0]?.id ?? 'all',
    keep: work.keep.map((outline) => ({ outline: ring4(outline) })),
    choice: choice
      ? {
          product: choice.product.id,
          family: choice.family,
          way: choice.way,
          coats: choice.coats,
          passes: choice.passes,
          because,
        }
      : null,
    heat,
    options: options.map((o) => planOption(o, openersOf(o, match, memory))),
    better: (isStopped(judgement.outcome) ? [] : others).map((o) => ({
      product: o.option.product.id,
      way: o.option.way,
      kind: o.kind,
      fromOn: o.fromOn,
    })),
    reasons: [...reasonsOf(), ...hairNotes(work.hair, work.crossing.share)],
    hands: {
      pressS: pressFor(judgement.pressS),
      smallStrips: judgement.smallStrips,
      onePass: judgement.onePass,
    },
    strips: choice && heat ? planStrips(choice, heat, work, orderOf) : [],
    ...handFacts(work, choice, level, judgement.smallStrips),
    ...(withField ? { field: coarseField(work.field) } : {}),
    cover: {
      coveredShare: roundTo(cover?.coveredShare ?? 0, 4),
      overlapShare: roundTo(cover?.overlapShare ?? 0, 4),
      meanAngleErrorDeg: roundTo(cover?.meanAngleErrorDeg ?? 0, 2),
    },
  };
}

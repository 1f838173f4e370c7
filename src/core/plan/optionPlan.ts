// One option of a zone as the plan shows it, with what would open a window that it lacks.

import { windowOpeners, type Opener } from '../heat';
import { exclusionSentence, heatNeedOf, type MatchInput, type Ranked } from '../matching';
import { roundTo } from '../shared';
import type { PlanMemory } from './planMemory';
import type { PlanOption } from './planTypes';

/** What would open the window of an option that has none; solved only for what is shown. */
export function openersOf(o: Ranked, match: MatchInput, memory: PlanMemory): readonly Opener[] {
  // advice only where nothing else stands in the way
  if (o.excludedBy.length !== 1 || o.excludedBy[0] !== 'heat.no-window') return [];
  const need = heatNeedOf(match, o.product, o.manner, o.way);
  return memory.openers(JSON.stringify(need), () => windowOpeners(need, o.window));
}

export const planOption = (o: Ranked, openers: readonly Opener[]): PlanOption => ({
  product: o.product.id,
  family: o.family,
  way: o.way,
  eligible: o.eligible,
  excludedBy: o.excludedBy,
  why: o.excludedBy.map((c) => exclusionSentence(c, o, openers)),
  score: o.eligible ? roundTo(-o.cost, 4) : null,
  cost: roundTo(o.cost, 2),
  parts: {
    minutes: roundTo(o.parts.minutes, 3),
    load: roundTo(o.parts.load, 3),
    broken: roundTo(o.parts.broken, 3),
    left: roundTo(o.parts.left, 3),
    tweezed: roundTo(o.parts.tweezed, 3),
    material: roundTo(o.parts.material, 3),
  },
  preferred: o.preferred,
  passes: o.passes,
  coats: o.coats,
  strips: o.strips,
  tableMinutes: roundTo(o.tableMinutes, 1),
  allMinutes: roundTo(o.allMinutes, 1),
  massG: roundTo(o.massG, 1),
  costMinor: o.costMinor,
  holdShift: o.holdShift,
  removedShare: roundTo(o.removedShare, 4),
  brokenShare: roundTo(o.brokenShare, 4),
  leftHairs: o.leftHairs,
  tweezed: o.tweezed,
  toTweeze: o.tweezed,
  skinLoad: roundTo(o.skinLoad, 3),
  workableShare: roundTo(o.workableShare, 3),
  shortestMm: roundTo(o.shortestMm, 2),
  longestMm: o.longestMm,
  targetC: o.window.empty ? null : roundTo(o.window.targetC, 1),
  feltMarginK: o.window.empty ? null : roundTo(o.feltMarginK, 2),
  readyOn: o.readyOn,
  trimFirst: o.trimFirst,
});

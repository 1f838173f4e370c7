// Sentences about a choice that need more than the options side by side: heat as it was asked for or learned, and what
// would be better.

import { forWords, WAY_WORDS, type MatchInput, type Option, type WhatElse } from '../matching';
import { roundTo } from '../shared';
import type { PlanHeat } from './planTypes';

/** Less than this, K, is within what a wrist can tell. */
const WORTH_SAYING_K = 0.2;

export function heatReasons(heat: PlanHeat, match: MatchInput): readonly string[] {
  const out: string[] = [];
  const { learned, asked, workingC } = heat;
  if (learned && Math.abs(learned.shiftK) >= WORTH_SAYING_K) {
    const visits = learned.visits === 1 ? 'one visit' : `${learned.visits} visits`;
    const warmer =
      match.judgement.lowerHeatK > 0
        ? 'This client usually bears a little more; the screening lowers the limit today, so it is not used.'
        : `Planned up to ${roundTo(learned.shiftK, 1)} K warmer for this client, after what ${visits} said of the heat.`;
    const cooler = `Planned ${roundTo(-learned.shiftK, 1)}° cooler for this client, after what ${visits} said of the heat.`;
    out.push(learned.shiftK < 0 ? cooler : warmer);
  }
  if (asked?.touchC !== null && asked?.touchC !== undefined) {
    const kept = Math.abs(asked.touchC - workingC.target) < 0.06;
    out.push(
      kept
        ? `${roundTo(asked.touchC, 1)} °C at touch was asked for by hand.`
        : `${roundTo(asked.touchC, 1)} °C was asked for; the window runs from ${roundTo(workingC.min, 1)} to ${roundTo(workingC.max, 1)} °C, so it is planned with ${roundTo(workingC.target, 1)} °C.`,
    );
  }
  if (asked?.thicknessMm !== null && asked?.thicknessMm !== undefined) {
    out.push(`Laid ${asked.thicknessMm} mm thick, as asked for by hand.`);
  }
  return out;
}

export function betterReasons(others: readonly WhatElse[], choice: Option | null): readonly string[] {
  return others.map(({ option, against, kind, fromOn, afterPatchTest }) => {
    const name = `${option.product.name}, ${WAY_WORDS[option.way] ?? option.way}`;
    const words = against ? forWords(option, against) : '';
    const gain = words === '' ? '' : `: ${words}`;
    if (kind === 'other-family') {
      return choice
        ? `Lost by the families this studio works with: ${name} would suit better${gain}.`
        : `This studio does not work with it, but ${name.toLowerCase()} could be used today.`;
    }
    return `${name} would suit better${gain}. ${afterPatchTest ? 'After a patch test that stays calm for 24–48 h: possible' : 'Possible'} from ${fromOn ?? ''}; until then today's choice works.`;
  });
}

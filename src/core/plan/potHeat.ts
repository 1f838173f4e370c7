// One pot has one heat: zones that are worked from it share a touch temperature that lies in all their windows. Where
// no heat suits all, the warmest windows are worked first and the pot is switched down for the next; wax of a warmer
// zone's heat never goes onto a cooler zone's skin.

import { potForTouch } from '../heat';
import { evaluate, type MatchInput, type Ranked } from '../matching';
import { coolsInS, USUAL_POT } from '../pots';
import { mannerName } from '../products';
import { roundTo } from '../shared';

/** A stage of one pot: the zones worked at one heat, by their place in the visit. */
export interface PotStage {
  readonly product: string;
  readonly zones: readonly number[];
  readonly touchC: number;
  readonly potC: number;
  /** Waiting for the pot to come down from the stage before, s; null where it would not get there by itself. */
  readonly coolS: number | null;
}

export interface OfPot {
  readonly choice: Ranked;
  readonly match: MatchInput;
}

const SAME_K = 0.05;

interface Window {
  readonly index: number;
  readonly minC: number;
  readonly maxC: number;
  readonly targetC: number;
}

/** What was asked for by hand is the window; paste worked by hand has no pot that could be too warm for a zone. */
function windowOf({ choice, match }: OfPot, index: number): Window {
  const { minC, maxC, targetC } = choice.window;
  const wished = match.heat?.product === choice.product.id && match.heat.touchC !== undefined;
  return wished ? { index, minC: targetC, maxC: targetC, targetC } : { index, minC, maxC, targetC };
}

/** Fewest heats that suit all, coolest first: each as warm as the coolest window still open allows. */
function split(windows: readonly Window[]): readonly (readonly Window[])[] {
  const rest = [...windows].sort((a, b) => a.maxC - b.maxC || a.index - b.index);
  const stages: Window[][] = [];
  for (const w of rest) {
    const stage = stages.at(-1);
    const top = stage?.[0]?.maxC;
    if (stage && top !== undefined && w.minC <= top) stage.push(w);
    else stages.push([w]);
  }
  return stages;
}

/** The coolest target among the zones, as far as all windows allow it. */
function touchOf(stage: readonly Window[]): number {
  const low = Math.max(...stage.map((w) => w.minC));
  const high = Math.min(...stage.map((w) => w.maxC));
  return Math.min(high, Math.max(low, Math.min(...stage.map((w) => w.targetC))));
}

/** The pots of a visit, each product's stages from the warmest to the coolest, in the order of the products. */
export function potStages(chosen: readonly (OfPot | null)[]): readonly PotStage[] {
  const at = (c: OfPot): string => `${c.choice.product.id}/${mannerName(c.choice.family, c.choice.way)}`;
  const open = chosen.flatMap((c, index) => (c ? [{ ...c, index }] : []));
  const pots = [...new Set(open.map(at))];
  return pots.flatMap((pot) => {
    const own = open.filter((c) => at(c) === pot);
    const first = own[0];
    if (!first) return [];
    const { product } = first.choice;
    const name = mannerName(product.family, first.choice.way);
    const { roomC } = first.match;
    const stages = [...split(own.map((c) => windowOf(c, c.index)))].reverse().map((stage) => {
      const touchC = touchOf(stage);
      return {
        touchC,
        potC: potForTouch(touchC, name, { product, roomC }),
        zones: stage.map((w) => w.index).sort((a, b) => a - b),
      };
    });
    return stages.map((s, k): PotStage => {
      const before = stages[k - 1];
      return {
        product: product.id,
        zones: s.zones,
        touchC: roundTo(s.touchC, 1),
        potC: roundTo(s.potC, 1),
        coolS: before ? coolsInS(product, USUAL_POT, { fromC: before.potC, toC: s.potC, roomC }) : 0,
      };
    });
  });
}

/** A zone's choice at the heat of its pot: its figures follow, the choice itself does not. */
export function atPotHeat<T extends OfPot>(chosen: T, touchC: number): T {
  const { choice, match } = chosen;
  if (Math.abs(choice.window.targetC - touchC) < SAME_K) return chosen;
  const shared: MatchInput = { ...match, potTouchC: { product: choice.product.id, touchC } };
  const { tier, preferred } = choice;
  return {
    ...chosen,
    match: shared,
    choice: { ...evaluate(shared, choice.product, choice.way, choice.manner), tier, preferred },
  };
}

/** One pot, one heat: said where other zones decide with, or where the pot comes down between zones; else null. */
export function potWords(stages: readonly PotStage[], index: number, names: readonly string[]): string | null {
  const stage = stages.find((s) => s.zones.includes(index));
  if (!stage) return null;
  const own = stages.filter((s) => s.product === stage.product);
  const touch = `${Math.round(stage.touchC)} °C at touch`;
  if (own.length > 1) {
    const after = own.indexOf(stage);
    if (after === 0) return `One pot for zones of unlike heat: this one first, at ${touch}.`;
    const wait =
      stage.coolS === null ? 'stir it and wait for the wrist' : `about ${Math.ceil(stage.coolS / 60)} min, stirred`;
    return `One pot for zones of unlike heat: this one after the warmer ones, at ${touch}; the pot comes down before (${wait}), or a second pot.`;
  }
  const unlike = new Set(stage.zones.map((i) => names[i])).size;
  return unlike > 1 ? `One pot, one heat: ${touch} suits every zone that is worked from it.` : null;
}

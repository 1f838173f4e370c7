// A batch as it stands: what was read, what the plan says, how long is left. Pure; drawn and said from here.

import {
  boilPlan,
  secondsLeft,
  STAGES,
  stoveFrom,
  waterAtStartG,
  waterLeftG,
  yieldG,
  type BoilPlan,
  type Colour,
  type Firmness,
  type HeatRead,
} from '@/core/kitchen';
import type { OpenBatch } from '@/server/services/kitchen';

export interface BatchNow {
  readonly plan: BoilPlan;
  readonly reads: readonly HeatRead[];
  readonly last: HeatRead | null;
  readonly elapsedS: number;
  /** From now on, s; null where it does not get there. */
  readonly leftS: number | null;
  /** Heat that the stove brings by what is known, W. */
  readonly heatW: number;
  readonly waterNowG: number;
  readonly waterEndG: number;
  readonly makesG: number;
  readonly colour: Colour | null;
  /** Behind the plan by so much at the last heat read, s; null before one was read. */
  readonly behindS: number | null;
}

/** When the plan has a heat, s. */
function planAt(plan: BoilPlan, tempC: number): number | null {
  const after = plan.curve.findIndex((p) => p.tempC >= tempC);
  const [a, b] = [plan.curve[after - 1], plan.curve[after]];
  if (!b) return null;
  if (!a || b.tempC <= a.tempC) return b.atS;
  return a.atS + ((b.atS - a.atS) * (tempC - a.tempC)) / (b.tempC - a.tempC);
}

export function batchNow(batch: OpenBatch, nowMs: number): BatchNow {
  const { recipe, endC, waterC, roomC, stoveW, weighedAtMs, notes } = batch;
  const base = { recipe, endC, waterC, roomC };
  const plan = boilPlan({ ...base, stoveW });
  const at = (ms: number): number => Math.max(0, (ms - weighedAtMs) / 1000);
  const reads = notes.flatMap((n) => (n.tempC === null ? [] : [{ atS: at(n.atMs), tempC: n.tempC }]));
  const last = reads.at(-1) ?? null;
  const elapsedS = at(nowMs);
  // taken off once, the time on the dish is no heat
  const heatW = batch.stoveFoundW ?? stoveFrom(base, reads) ?? stoveW;
  const input = { ...base, stoveW: heatW };
  const onAgainMs = notes.findLast((n) => n.kind === 'step' && n.what === 'cook')?.atMs ?? weighedAtMs;
  const fromRead = last && secondsLeft(input, last.tempC);
  const planned = plan.endsAtS === null ? null : Math.max(0, plan.endsAtS - elapsedS);
  const sinceS = last ? elapsedS - Math.max(last.atS, at(onAgainMs)) : 0;
  const leftS = last ? fromRead && Math.max(0, fromRead - sinceS) : planned;
  const due = last && planAt(plan, last.tempC);
  return {
    ...{ plan, reads, last, elapsedS, leftS, heatW },
    waterNowG: waterLeftG(recipe, last?.tempC ?? roomC, waterC),
    waterEndG: waterLeftG(recipe, endC, waterC),
    makesG: yieldG(recipe, endC, waterC),
    colour: (notes.findLast((n) => n.kind === 'colour')?.what ?? null) as Colour | null,
    behindS: last && due !== null ? last.atS - due : null,
  };
}

/** The stage that a heat lies in here, in words; empty below the first and between. */
export function stageWords(tempC: number, waterC: number): string {
  const sea = tempC - (waterC - 100);
  return STAGES.find((s) => s.fromC <= sea && sea <= s.toC)?.name ?? '';
}

export const minutesWords = (seconds: number): string => {
  const min = Math.round(seconds / 60);
  return min <= 1 ? 'about a minute' : `about ${min} minutes`;
};

export const FIRMNESS_WORDS: Readonly<Record<Firmness, string>> = { soft: 'soft', firm: 'firm', hard: 'hard' };

export const waterStartG = (batch: Pick<OpenBatch, 'recipe'>): number => waterAtStartG(batch.recipe);

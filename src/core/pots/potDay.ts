// A pot over the visits of a day: when to switch it on so that it is right at the first lay, where its thermostat
// stands for each visit, when it may go off; the heat that follows; what does not go together. One pot has one heat.

import type { Product } from '../products';
import { evenPot, potStep, temps, toppedUp, type Pot, type PotState } from './pot';
import { coolsInS, holdingSetC, readyAfterS, type HeatingInput, type PotWindow } from './ready';
import { planRefill, shortVisit, type PotRefill, type PotUse } from './refill';

/** What one visit wants of the pot; times in seconds from now, wax on the skin from … to. */
export type PotVisit = PotUse;

export interface PotDayInput {
  readonly product: Product;
  readonly pot: Pot;
  readonly roomC: number;
  /** As it stands now, °C; null = not measured: taken as set, and as the room's where it is off. */
  readonly tempC: number | null;
  /** The thermostat; null = off. */
  readonly setC: number | null;
  readonly visits: readonly PotVisit[];
  /** How far the curve goes, s from now. */
  readonly untilS: number;
}

export interface PotAct {
  readonly atS: number;
  readonly what: 'on' | 'up' | 'down' | 'off';
  /** Where the thermostat is set; null = off. */
  readonly setC: number | null;
}

export interface PotDay {
  /** Heat stirred through, by time. */
  readonly curve: readonly (readonly [atS: number, tempC: number])[];
  /** The coldest wax in it, by the same times. */
  readonly core: readonly (readonly [atS: number, tempC: number])[];
  readonly acts: readonly PotAct[];
  /** The first visit that it is not ready for, were it switched on at once; null where all is in time. */
  readonly late: { readonly who: string; readonly byS: number } | null;
  /** Visits at one time that want heats which do not meet. */
  readonly clashes: readonly (readonly [string, string])[];
  /** The first visit that what is in the pot does not last for. */
  readonly short: { readonly who: string; readonly needsG: number; readonly holdsG: number } | null;
  /** Where it is filled up for that; null where it lasts. */
  readonly refill: PotRefill | null;
  /** When it is right for the first visit, s from now; 0 = it is, null = no visit, or it does not get there. */
  readonly readyAtS: number | null;
}

/** Ready a little before it is wanted. */
const MARGIN_S = 300;
/** Windows that share less are not held by one setting: the thermostat plays as much. */
const SHARED_K = 2;
/** A setting that keeps the wax this far inside its window is left alone. */
const INSIDE_K = 0.5;
const STEP_S = 60;
const SAMPLE_S = 300;

const meets = (a: PotWindow, b: PotWindow): PotWindow | null => {
  const [minC, maxC] = [Math.max(a.minC, b.minC), Math.min(a.maxC, b.maxC)];
  if (minC > maxC) return null;
  const targetC = Math.min(maxC, Math.max(minC, (a.targetC + b.targetC) / 2));
  return { minC, targetC, maxC };
};

interface Stage {
  readonly who: string;
  readonly fromS: number;
  readonly toS: number;
  readonly window: PotWindow;
}

/** Visits one after the other whose windows meet share one heat. */
function stagesOf(visits: readonly PotVisit[]): { stages: readonly Stage[]; clashes: PotDay['clashes'] } {
  const stages: Stage[] = [];
  const clashes: (readonly [string, string])[] = [];
  for (const visit of visits) {
    const last = stages.at(-1);
    const shared = last ? meets(last.window, visit.window) : null;
    const isAtOnce = last !== undefined && visit.fromS < last.toS;
    if (last && shared && (isAtOnce || shared.maxC - shared.minC >= SHARED_K)) {
      stages[stages.length - 1] = { ...last, toS: Math.max(last.toS, visit.toS), window: shared };
    } else if (last && isAtOnce) {
      clashes.push([last.who, visit.who]);
    } else stages.push(visit);
  }
  return { stages, clashes };
}

function shortOf(visits: readonly PotVisit[], waxG: number): PotDay['short'] {
  const short = shortVisit(waxG, visits);
  const visit = short && visits[short.index];
  return visit ? { who: visit.who, needsG: Math.round(visit.grams), holdsG: Math.round(short.holdsG) } : null;
}

/** Needs no visit: without any it says how the pot goes on as it stands. */
export function potDay(input: PotDayInput): PotDay {
  const { product, pot, roomC, setC, untilS } = input;
  const tempC = input.tempC ?? setC ?? roomC;
  const visits = input.visits.filter((v) => v.toS > 0).sort((a, b) => a.fromS - b.fromS);
  const { stages, clashes } = stagesOf(visits);
  const acts: PotAct[] = [];
  let late: PotDay['late'] = null;
  let standsC = setC;
  let before = tempC;
  let freeS = 0;
  let readyAtS: number | null = null;
  for (const stage of stages) {
    const { window } = stage;
    const heating = { product, pot, roomC, window };
    const holdC = holdingSetC(heating);
    const isRight = before >= window.minC && before <= window.maxC;
    const isHeld = standsC !== null && holds(window, standsC - holdC);
    if (!(isRight && isHeld)) {
      const leadS = isRight ? 0 : leadOf(heating, before);
      const wantedS = stage.fromS - leadS - MARGIN_S;
      const atS = Number.isFinite(wantedS) ? Math.max(freeS, wantedS) : freeS;
      if (atS + leadS > stage.fromS && late === null) {
        late = { who: stage.who, byS: Math.round(atS + leadS - Math.max(0, stage.fromS)) };
      }
      if (stage === stages[0] && Number.isFinite(leadS)) readyAtS = atS + leadS;
      if (!isHeld) acts.push({ atS, what: wayOf(standsC, holdC), setC: holdC });
    }
    if (stage === stages[0] && isRight) readyAtS = 0;
    if (!isHeld) standsC = holdC;
    before = window.targetC;
    freeS = stage.toS;
  }
  if (standsC !== null) acts.push({ atS: freeS, what: 'off', setC: null });
  const refill = planRefill({ product, pot, roomC, visits });
  return {
    ...curveOf(input, tempC, { acts, refill }, untilS),
    ...{ acts, late, clashes, short: shortOf(visits, pot.waxG), refill, readyAtS },
  };
}

/** Whether a setting that is off the holding one by some kelvin still keeps the wax in the window. */
const holds = ({ minC, targetC, maxC }: PotWindow, offK: number): boolean =>
  targetC + offK >= minC + INSIDE_K && targetC + offK <= maxC - INSIDE_K;

/** How long it takes into the window, up or down: wax that is too warm is waited for too. Infinity = not by itself. */
function leadOf(heating: HeatingInput, fromC: number): number {
  const { product, pot, roomC, window } = heating;
  if (fromC > window.maxC) return coolsInS(product, pot, { fromC, toC: window.maxC, roomC }) ?? Infinity;
  return readyAfterS({ ...heating, state: evenPot(product, pot.waxG, fromC), stirred: true }) ?? Infinity;
}

function wayOf(fromC: number | null, toC: number): PotAct['what'] {
  if (fromC === null) return 'on';
  return toC > fromC ? 'up' : 'down';
}

/** The heat that follows: marched minute by minute from what stands now. */
function curveOf(
  { product, pot, roomC, setC }: PotDayInput,
  tempC: number,
  { acts, refill }: Pick<PotDay, 'acts' | 'refill'>,
  untilS: number,
): Pick<PotDay, 'curve' | 'core'> {
  let state: PotState = evenPot(product, pot.waxG, tempC);
  const curve: (readonly [number, number])[] = [[0, tempC]];
  const core: (readonly [number, number])[] = [[0, tempC]];
  let standsC = setC;
  for (let atS = 0; atS < untilS; atS += STEP_S) {
    for (const act of acts) if (act.atS >= atS && act.atS < atS + STEP_S) standsC = act.setC;
    if (refill && refill.atS >= atS && refill.atS < atS + STEP_S) {
      state = toppedUp(product, state, refill.addG, roomC);
    }
    ({ state } = potStep(product, pot, state, standsC, roomC, STEP_S));
    if ((atS + STEP_S) % SAMPLE_S !== 0) continue;
    const { mixedC, coreC } = temps(product, state);
    curve.push([atS + STEP_S, mixedC]);
    core.push([atS + STEP_S, coreC]);
  }
  return { curve, core };
}

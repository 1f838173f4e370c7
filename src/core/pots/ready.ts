// When a pot is ready, where its thermostat stands for that, and when to switch it down so that the core melts in the
// rim's heat.

import type { Product } from '../products';
import {
  evenPot,
  movesFromC,
  PLAY_K,
  potStep,
  stirred,
  stirredWhereSoft,
  temps,
  toppedUp,
  type Pot,
  type PotState,
} from './pot';
import { moltenShare } from './waxTable';

export interface PotWindow {
  readonly minC: number;
  readonly targetC: number;
  readonly maxC: number;
}

const MELTED_ENOUGH = 0.95;
const STEP_S = 10;
export const HORIZON_S = 3 * 3600;
/** Stirred every five minutes where it is stirred on the way. */
export const STIRRED_EVERY_S = 300;

export interface HeatingInput {
  readonly product: Product;
  readonly pot: Pot;
  readonly roomC: number;
  readonly window: PotWindow;
  /** What is in the pot now; absent = cold, at the room's temperature. */
  readonly state?: PotState | undefined;
  /** Stirred as far as it moves, every five minutes while it warms; absent = left alone. */
  readonly stirred?: boolean | undefined;
}

/** Right once stirred: a stick moves all of it, as much is molten as will be worked, its mean is in the window. */
export function isReady(product: Product, state: PotState, window: PotWindow): boolean {
  const { coreC, mixedC, melted } = temps(product, state);
  const wanted = Math.min(MELTED_ENOUGH, 0.98 * moltenShare(product, window.minC));
  const moves = coreC >= Math.min(movesFromC(product), window.minC);
  return mixedC >= window.minC && mixedC <= window.maxC && moves && melted >= wanted;
}

/** How far over its window the rim may be taken while the core melts, K (from memory; the label comes first). */
export const RIM_OVER_K = 4;

/** The highest setting at which the rim keeps its promise, the thermostat's play included. */
export const highestSetC = (window: PotWindow): number => window.maxC + RIM_OVER_K - PLAY_K;

const SETTLED_S = 4 * 3600;

/**
 * The setting that holds the stirred wax at the target: above it by what wall and open top lose on the way inward. At
 * most the highest setting. Rest is proportional to its height over the room, so two steps find it.
 */
export function holdingSetC({ product, pot, roomC, window }: HeatingInput): number {
  const { targetC } = window;
  let setC = targetC;
  for (let k = 0; k < 2; k++) {
    let state = evenPot(product, pot.waxG, targetC);
    for (let t = 0; t < SETTLED_S; t += 120) ({ state } = potStep(product, pot, state, setC, roomC, 120));
    const { mixedC } = temps(product, state);
    if (mixedC - roomC < 1) break;
    setC = roomC + ((targetC - roomC) * (setC - roomC)) / (mixedC - roomC);
  }
  return Math.min(setC, highestSetC(window));
}

interface Run {
  readonly readyS: number | null;
  readonly hottestRimC: number;
}

interface Moment {
  readonly state: PotState;
  readonly atS: number;
  readonly hottestRimC: number;
}

const start = ({ product, pot, roomC, state }: HeatingInput): Moment => ({
  state: state ?? evenPot(product, pot.waxG, roomC),
  atS: 0,
  hottestRimC: -Infinity,
});

/** One step on at a setting, stirred at its time. */
function on({ product, pot, roomC, stirred: stirs }: HeatingInput, moment: Moment, setC: number): Moment {
  const step = potStep(product, pot, moment.state, setC, roomC, STEP_S);
  const atS = moment.atS + STEP_S;
  return {
    state: stirs && atS % STIRRED_EVERY_S === 0 ? stirredWhereSoft(product, step.state) : step.state,
    atS,
    hottestRimC: Math.max(moment.hottestRimC, step.wallC),
  };
}

/** Holds a setting until ready. */
function hold(input: HeatingInput, from: Moment, setC: number, horizonS = HORIZON_S): Run {
  let now = from;
  for (; now.atS <= horizonS; now = on(input, now, setC)) {
    if (isReady(input.product, now.state, input.window)) return { readyS: now.atS, hottestRimC: now.hottestRimC };
  }
  return { readyS: null, hottestRimC: now.hottestRimC };
}

/** Seconds until ready with the thermostat where it holds the target, from the start; null = not within three hours. */
export const readyAfterS = (input: HeatingInput): number | null => hold(input, start(input), holdingSetC(input)).readyS;

/** A pot at work that is filled up: with how much, how far it falls once stirred in, when it is right again. */
export interface Refilled {
  readonly addG: number;
  readonly fallsK: number;
  readonly readyS: number | null;
}

/** A quarter of a pot is what is added at one go. */
const REFILL_SHARE = 0.25;

/** Topping up at the target with wax at the room's temperature, stirred in; the thermostat left where it is. */
export function refilled(input: Omit<HeatingInput, 'state'>): Refilled {
  const { product, pot, window } = input;
  const addG = Math.round(REFILL_SHARE * pot.waxG);
  const state = toppedUp(product, evenPot(product, pot.waxG - addG, window.targetC), addG, input.roomC);
  return {
    addG,
    fallsK: window.targetC - temps(product, state).mixedC,
    readyS: readyAfterS({ ...input, state, stirred: true }),
  };
}

export interface SwitchDown {
  /** Full heat until then, s from now; 0 = do not. */
  readonly switchDownS: number;
  readonly readyS: number;
  readonly hottestRimC: number;
  /** Where the thermostat stands for full heat and afterwards, °C. */
  readonly highC: number;
  readonly holdC: number;
}

/** The moment is looked for every four minutes, then minute by minute about the best. */
const COARSE_S = 240;
const FINE_S = 60;

/**
 * The moment to switch from full heat down to what holds the target, so that the pot is ready soonest; the rim never
 * hotter than the window's upper end + 4 K: what is taken from it unstirred would burn. Null where it is not ready
 * within three hours either way.
 */
export function switchDown(input: HeatingInput): SwitchDown | null {
  const holdC = holdingSetC(input);
  const highC = highestSetC(input.window);
  const hot: Moment[] = [start(input)];
  const hotAt = (atS: number): Moment => {
    for (let last = hot.at(-1); last && last.atS < atS; last = hot.at(-1)) hot.push(on(input, last, highC));
    return hot[atS / STEP_S] ?? start(input);
  };
  const allHot = hold(input, start(input), highC);
  let best = allHot.readyS === null ? null : { ...allHot, readyS: allHot.readyS, switchDownS: allHot.readyS };
  const tried = (atS: number): void => {
    const run = hold(input, hotAt(atS), holdC, best ? best.readyS - STEP_S : HORIZON_S);
    if (run.readyS !== null) best = { ...run, readyS: run.readyS, switchDownS: atS };
  };
  for (let s = 0; s < (best?.readyS ?? HORIZON_S); s += COARSE_S) tried(s);
  const about = best?.switchDownS ?? 0;
  for (let s = about - COARSE_S + FINE_S; s < about + COARSE_S; s += FINE_S) if (best && s > 0) tried(s - (s % STEP_S));
  return best && { ...best, highC, holdC };
}

/** Longest that a switched-down pot is watched, s. */
const MOST_COOLING_S = 7200;

/** How long a stirred pot, switched down, takes from one heat to a lower one, s; null where it does not get there. */
export function coolsInS(
  product: Product,
  pot: Pot,
  { fromC, toC, roomC }: { readonly fromC: number; readonly toC: number; readonly roomC: number },
): number | null {
  let state = evenPot(product, pot.waxG, fromC);
  for (let timeS = 0; timeS <= MOST_COOLING_S; timeS += STEP_S) {
    if (temps(product, state).mixedC <= toC) return timeS;
    state = stirred(product, potStep(product, pot, state, null, roomC, STEP_S).state);
  }
  return null;
}

// When a pot is ready, when to switch it down so that the core melts in the rim's heat, and the next pulse where it is
// warmed by microwave.

import type { Product } from '../products';
import { evenPot, moltenShare, potStep, stirred, temps, toppedUp, type Pot, type PotState } from './pot';

export interface PotWindow {
  readonly minC: number;
  readonly targetC: number;
  readonly maxC: number;
}

/** Rim and core no further apart than this become even with a stir, K (from memory). */
export const EVEN_K = 8;
const MELTED_ENOUGH = 0.95;
const STEP_S = 5;
const HORIZON_S = 3 * 3600;

export interface HeatingInput {
  readonly product: Product;
  readonly pot: Pot;
  readonly roomC: number;
  readonly window: PotWindow;
  /** What is in the pot now; absent = cold, at the room's temperature. */
  readonly state?: PotState | undefined;
}

/**
 * Right once stirred: within the window, molten as far as it will be worked, and rim and core close enough for a stir
 * to even them.
 */
export function isReady(product: Product, state: PotState, window: PotWindow): boolean {
  const { rimC, coreC, melted } = temps(product, state);
  const mixedC = temps(product, stirred(state)).rimC;
  const wanted = Math.min(MELTED_ENOUGH, 0.98 * moltenShare(product, window.minC));
  return mixedC >= window.minC && mixedC <= window.maxC && Math.abs(rimC - coreC) <= EVEN_K && melted >= wanted;
}

interface Run {
  readonly readyS: number | null;
  readonly hottestRimC: number;
  readonly state: PotState;
}

/** Heats at `highC` for `highS`, then holds the target until ready. */
function run(
  { product, pot, roomC, window, state = evenPot(product, pot.waxG, roomC) }: HeatingInput,
  highC: number,
  highS: number,
  horizonS = HORIZON_S,
): Run {
  let [now, on, hottest] = [state, false, -Infinity];
  for (let t = 0; t <= horizonS; t += STEP_S) {
    if (isReady(product, now, window)) return { readyS: t, hottestRimC: hottest, state: now };
    const step = potStep(product, pot, now, on, t < highS ? highC : window.targetC, roomC, STEP_S);
    [now, on] = [step.state, step.on];
    hottest = Math.max(hottest, temps(product, now).rimC);
  }
  return { readyS: null, hottestRimC: hottest, state: now };
}

/** Seconds until ready with the thermostat at the target from the start; null = not within three hours. */
export const readyAfterS = (input: HeatingInput): number | null => run(input, input.window.targetC, 0).readyS;

/**
 * A pot at work that is filled up: with how much, how far the core then stands below the rim, and when it is right
 * again.
 */
export interface Refilled {
  readonly addG: number;
  readonly apartK: number;
  readonly readyS: number | null;
}

/** A quarter of a pot is what is added at one go. */
const REFILL_SHARE = 0.25;

/** Topping up at the target with wax at the room's temperature, the thermostat left where it is. */
export function refilled(input: Omit<HeatingInput, 'state'>): Refilled {
  const addG = Math.round(REFILL_SHARE * input.pot.waxG);
  const state = toppedUp(
    input.product,
    evenPot(input.product, input.pot.waxG - addG, input.window.targetC),
    addG,
    input.roomC,
  );
  const { rimC, coreC } = temps(input.product, state);
  return { addG, apartK: rimC - coreC, readyS: readyAfterS({ ...input, state }) };
}

export interface SwitchDown {
  /** Full heat until then, s from now; 0 = do not. */
  readonly switchDownS: number;
  readonly readyS: number;
  readonly hottestRimC: number;
}

/**
 * How far over its working window the rim may be taken while the core melts, K (from memory; the label comes first).
 */
const RIM_OVER_K = 4;
const SEARCH_S = 60;

/**
 * The moment to switch from full heat down to the target, so that the pot is ready soonest; the rim never hotter than
 * the window's upper end + 4 K: what is taken from it unstirred would burn. Null where it is not ready within three
 * hours either way.
 */
export function switchDown(input: HeatingInput): SwitchDown | null {
  const plain = run(input, input.window.targetC, 0);
  let best: SwitchDown | null =
    plain.readyS === null ? null : { switchDownS: 0, readyS: plain.readyS, hottestRimC: plain.hottestRimC };
  const highC = input.window.maxC + RIM_OVER_K - 2.5; // the thermostat's play and the step that follows it
  let worse = 0;
  for (let s = SEARCH_S; s <= HORIZON_S && worse < 12; s += SEARCH_S) {
    const tried = run(input, highC, s, best?.readyS ?? HORIZON_S);
    if (tried.readyS !== null && (best === null || tried.readyS < best.readyS)) {
      best = { switchDownS: Math.min(s, tried.readyS), readyS: tried.readyS, hottestRimC: tried.hottestRimC };
      worse = 0;
    } else worse++;
  }
  return best;
}

/** Heat of a microwave that arrives in the wax, W, and the share of it that the outer part takes (from memory). */
const MICROWAVE_W = 350;
const OUTER_SHARE = 0.55;
const PULSES_S = [5, 10, 15, 20, 30] as const;

/** A pulse of some seconds; the wax is to be stirred after it. */
export function microwaved(state: PotState, seconds: number): PotState {
  const joules = MICROWAVE_W * seconds;
  return { ...state, rimJ: state.rimJ + OUTER_SHARE * joules, coreJ: state.coreJ + (1 - OUTER_SHARE) * joules };
}

export interface NextPulse {
  /** 0 = no more. */
  readonly seconds: number;
  readonly say: string;
}

/**
 * The longest pulse after which no part is over the window, paste never more than 10 s at a time; then rest, stir and
 * the wrist.
 */
export function nextPulse(product: Product, state: PotState, window: PotWindow): NextPulse {
  const longest = product.family === 'sugar' ? 10 : 30;
  const safe = PULSES_S.filter((s) => s <= longest && temps(product, microwaved(state, s)).rimC <= window.maxC).at(-1);
  if (isReady(product, state, window)) return { seconds: 0, say: 'Warm enough: stir, then test on your wrist.' };
  if (temps(product, state).rimC > window.maxC) {
    return { seconds: 0, say: 'Too warm at the edge: stir and let it stand, then test on your wrist.' };
  }
  if (safe === undefined) return { seconds: 0, say: 'The edge is warm enough: stir, let it stand, then look again.' };
  return { seconds: safe, say: `${safe} s, then let it rest half a minute and stir through.` };
}

const MOST_PULSES = 60;

/** Pulses from cold to ready, each stirred through, s; null where they do not get there. */
export function pulsesFromCold(
  product: Product,
  waxG: number,
  roomC: number,
  window: PotWindow,
): readonly number[] | null {
  const pulses: number[] = [];
  let state = evenPot(product, waxG, roomC);
  while (!isReady(product, state, window)) {
    const { seconds } = nextPulse(product, state, window);
    if (seconds === 0 || pulses.length >= MOST_PULSES) return null;
    pulses.push(seconds);
    state = stirred(microwaved(state, seconds));
  }
  return pulses;
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
    if (temps(product, stirred(state)).coreC <= toC) return timeS;
    ({ state } = potStep(product, pot, state, false, null, roomC, STEP_S));
  }
  return null;
}

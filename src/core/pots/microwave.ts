// Paste or wax warmed by microwave: the next pulse, and the pulses from cold.

import type { Product } from '../products';
import { CAN_RADIUS_M, LAYERS, RINGS } from './canGrid';
import { evenPot, stirred, temps, type PotState } from './pot';
import { isReady, type PotWindow } from './ready';

/** Heat of a microwave that arrives in the wax, W, and the depth at which it has fallen to a third, m (from memory). */
const MICROWAVE_W = 350;
const REACHES_M = 0.025;
const PULSES_S = [5, 10, 15, 20, 30] as const;
const LONGEST_S = 30;
const LONGEST_PASTE_S = 10;
const MOST_PULSES = 60;

/** What a cell takes of it beside the others: by its depth below the nearest surface. */
function takes(product: Product, waxG: number): readonly number[] {
  const heightM = waxG / 1000 / product.densityKgM3 / (Math.PI * CAN_RADIUS_M ** 2);
  return Array.from({ length: RINGS * LAYERS }, (_, i) => {
    const [ring, layer] = [i % RINGS, Math.floor(i / RINGS)];
    const inM = CAN_RADIUS_M * (1 - (ring + 0.5) / RINGS);
    const upM = (heightM * (layer + 0.5)) / LAYERS;
    return Math.exp(-Math.min(inM, upM, heightM - upM) / REACHES_M);
  });
}

/** A pulse of some seconds; the wax is to be stirred after it. */
export function microwaved(product: Product, state: PotState, seconds: number): PotState {
  const weights = takes(product, state.waxG);
  const share = (i: number): number => (2 * (i % RINGS) + 1) / RINGS ** 2 / LAYERS;
  const sum = weights.reduce((s, w, i) => s + w * share(i), 0);
  const perKg = (MICROWAVE_W * seconds) / (state.waxG / 1000);
  return { ...state, jkg: state.jkg.map((h, i) => h + (perKg * (weights[i] ?? 0)) / sum) };
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
  const longest = product.family === 'sugar' ? LONGEST_PASTE_S : LONGEST_S;
  const safe = PULSES_S.filter(
    (s) => s <= longest && temps(product, microwaved(product, state, s)).rimC <= window.maxC,
  ).at(-1);
  if (isReady(product, state, window)) return { seconds: 0, say: 'Warm enough: stir, then test on your wrist.' };
  if (temps(product, state).rimC > window.maxC) {
    return { seconds: 0, say: 'Too warm at the edge: stir and let it stand, then test on your wrist.' };
  }
  if (safe === undefined) return { seconds: 0, say: 'The edge is warm enough: stir, let it stand, then look again.' };
  return { seconds: safe, say: `${safe} s, then let it rest half a minute and stir through.` };
}

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
    state = stirred(product, microwaved(product, state, seconds));
  }
  return pulses;
}

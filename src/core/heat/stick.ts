// Wax on the stick: the load first shares its heat with the cold wood, then cools to the room as one lump.
// Heat capacity of the wetted wood and the air's coefficient from memory; a cold stick takes about 2–3 K.

import type { MannerName, Product } from '../products';

const WOOD_J_PER_K = 0.75;
/** Convective coefficient times the load's surface, W/K. */
const AIR_W_PER_K = 0.03;
/** Seconds between the pot and the skin. */
export const USUAL_HOLD_S = 4;
/** Wax on one stick, g. */
export const STICK_LOAD_G = 5;

export interface StickInput {
  readonly product: Product;
  readonly roomC: number;
  readonly heldS?: number;
  readonly loadG?: number;
}

/** Share of the excess over the room that is left when the wax touches the skin, 0–1. */
function keptShare({ product, heldS = USUAL_HOLD_S, loadG = STICK_LOAD_G }: StickInput): number {
  const wax = (loadG / 1000) * product.heatCapacityJkgK;
  const whole = wax + WOOD_J_PER_K;
  return (wax / whole) * Math.exp((-AIR_W_PER_K / whole) * heldS);
}

/** Temperature at touch of wax taken from a pot at `potC`. */
export const touchFromPot = (potC: number, input: StickInput): number =>
  input.roomC + (potC - input.roomC) * keptShare(input);

/** Pot temperature that gives `touchC` at touch. Paste worked by hand has no stick: what is in the hand is at touch. */
export function potForTouch(touchC: number, manner: MannerName, input: StickInput): number {
  return manner === 'hand' ? touchC : input.roomC + (touchC - input.roomC) / keptShare(input);
}

/**
 * Seconds on the stick until wax from a pot at `potC` touches at `touchC`; null where the wood alone cools it further
 * than that.
 */
export function holdUntil(potC: number, touchC: number, input: Omit<StickInput, 'heldS'>): number | null {
  const atOnce = touchFromPot(potC, { ...input, heldS: 0 }) - input.roomC;
  const wanted = touchC - input.roomC;
  if (wanted <= 0 || atOnce < wanted) return null;
  const perSecond = Math.log(atOnce / (touchFromPot(potC, { ...input, heldS: 1 }) - input.roomC));
  return Math.log(atOnce / wanted) / perSecond;
}

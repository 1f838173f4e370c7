// When a pot is filled up: what is in it does not last the day, and what is added cold must be molten again before the
// next stick is dipped. So it goes into the latest gap between two visits that is long enough.

import type { Product } from '../products';
import { evenPot, toppedUp, type Pot } from './pot';
import { readyAfterS, type PotWindow } from './ready';

/** What one visit takes, in seconds from now. */
export interface PotUse {
  readonly who: string;
  readonly fromS: number;
  readonly toS: number;
  readonly window: PotWindow;
  readonly grams: number;
}

export interface PotRefill {
  /** When it is added, and when the pot is right again. */
  readonly atS: number;
  readonly readyAtS: number;
  readonly addG: number;
  /** Whom what is in it would not last for. */
  readonly who: string;
  /** What a full can still lacks for that visit: it is filled up again on the way, g. */
  readonly stillShortG: number;
  /** False where no gap is long enough: the visit waits, or takes another pot. */
  readonly isInTime: boolean;
}

/** A stick needs something to dip into. */
export const DIP_G = 60;
/** A usual can filled to its rim line (from memory: half a litre). */
const CAN_G = 500;
const MARGIN_S = 300;
const STEP_G = 10;

export interface RefillInput {
  readonly product: Product;
  readonly pot: Pot;
  readonly roomC: number;
  /** In the order of their start. */
  readonly visits: readonly PotUse[];
}

/** What is in it as each visit begins, g; below what it needs where nothing is added. */
const heldAt = (waxG: number, visits: readonly PotUse[]): readonly number[] =>
  visits.map((_, i) => waxG - visits.slice(0, i).reduce((sum, v) => sum + v.grams, 0));

/** The first visit that what is in the pot does not last for. */
export function shortVisit(
  waxG: number,
  visits: readonly PotUse[],
): { readonly index: number; readonly holdsG: number } | null {
  const held = heldAt(waxG, visits);
  const index = visits.findIndex((v, i) => v.grams > (held[i] ?? 0) - DIP_G);
  return index < 0 ? null : { index, holdsG: held[index] ?? 0 };
}

/** Where and how much is added; null where it lasts, or where nothing more goes into the can. */
export function planRefill({ product, pot, roomC, visits }: RefillInput): PotRefill | null {
  const short = shortVisit(pot.waxG, visits);
  const wanting = short && visits[short.index];
  if (!short || !wanting) return null;
  const held = heldAt(pot.waxG, visits);
  const rest = visits.slice(short.index).reduce((sum, v) => sum + v.grams, 0);
  const full = Math.max(CAN_G, pot.waxG);
  const tried = Array.from({ length: short.index + 1 }, (_, k) => short.index - k).flatMap(
    (i): readonly PotRefill[] => {
      const [next, before] = [visits[i], visits[i - 1]];
      const holdsG = Math.max(DIP_G, held[i] ?? 0);
      const between = visits.slice(i, short.index).reduce((sum, v) => sum + v.grams, 0);
      const wantedG = Math.ceil((between + rest + DIP_G - holdsG) / STEP_G) * STEP_G;
      const addG = Math.min(wantedG, Math.floor((full - holdsG) / STEP_G) * STEP_G);
      const stillShortG = Math.max(0, Math.round(between + wanting.grams + DIP_G - holdsG - addG));
      if (!next || addG <= 0) return [];
      const { window } = next;
      const state = toppedUp(product, evenPot(product, holdsG, window.targetC), addG, roomC);
      const heating = { product, pot: { ...pot, waxG: holdsG + addG }, roomC, window, state, stirred: true };
      const meltS = readyAfterS(heating);
      const atS = Math.max(0, before?.toS ?? 0);
      if (meltS === null) return [];
      const readyAtS = atS + meltS;
      return [{ atS, readyAtS, addG, stillShortG, who: wanting.who, isInTime: readyAtS + MARGIN_S <= next.fromS }];
    },
  );
  return tried.find((r) => r.isInTime) ?? tried[0] ?? null;
}

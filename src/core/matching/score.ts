// Ranking: a documented weighted sum over what is left after the exclusions. A studio may set its own weights; the
// shipped ones (from memory) reproduce the trade: coarse → hard, fine on large areas → soft, tender → hard or sugar,
// ingrown-prone → sugar.

import type { Hair } from '../hair';
import type { Product } from '../products';

export interface Weights {
  readonly removed: number;
  readonly broken: number;
  readonly load: number;
  readonly minutes: number;
  readonly cost: number;
  readonly coarseHard: number;
  readonly fineSoft: number;
  readonly paste: number;
}

/** What a studio may set, and how far: from not at all to five times the shipped weight. */
export const WEIGHT_NAMES = [
  'removed',
  'broken',
  'load',
  'minutes',
  'cost',
  'coarseHard',
  'fineSoft',
  'paste',
] as const;
export const MOST_WEIGHT_FACTOR = 5;

export const SHIPPED_WEIGHTS: Weights = {
  removed: 1,
  broken: 1.5,
  load: 0.3,
  minutes: 0.15,
  cost: 0.03,
  coarseHard: 0.2,
  fineSoft: 0.09,
  paste: 0.03,
};

/** Broken hair weighs this much more on skin that grows hairs in. */
const INGROWN_FACTOR = 8;
const MOST_SLOW = 2.5;

export interface ScoreInput {
  readonly product: Product;
  readonly hair: Hair;
  readonly sensitivity: number;
  readonly ingrownProne: boolean;
  readonly removedShare: number;
  readonly brokenShare: number;
  readonly skinLoad: number;
  /** Minutes and cost as multiples of the quickest and cheapest option. */
  readonly slowness: number;
  readonly dearness: number;
  /** How far the paste is from its wanted temperature, K. */
  readonly pasteOffK: number;
}

export function scoreOf(input: ScoreInput, w: Weights = SHIPPED_WEIGHTS): number {
  const { product, hair } = input;
  const fit = {
    hard: w.coarseHard * Math.max(0, hair.coarseness - 3),
    soft: w.fineSoft * Math.max(0, 3 - hair.coarseness),
    sugar: 0,
  }[product.family];
  return (
    w.removed * input.removedShare -
    w.broken * (input.ingrownProne ? INGROWN_FACTOR : 1) * input.brokenShare -
    w.load * (1 + 0.25 * Math.max(0, input.sensitivity - 3)) * input.skinLoad -
    w.minutes * Math.min(MOST_SLOW, input.slowness - 1) -
    w.cost * Math.min(3, input.dearness - 1) -
    w.paste * input.pasteOffK +
    fit
  );
}

// One option = one product worked in one way on one zone of this client today.

import type { Family } from '../anatomy';
import type { CoatRest } from '../hands';
import type { WorkingWindow } from '../heat';
import type { CostParts } from './cost';
import type { Manner, Product, Way } from '../products';
import type { CivilDate } from '../shared';

export interface Schools {
  readonly hardLay: 'with' | 'against' | 'free';
  readonly shortHair: 'crossed' | 'none';
  readonly maxHardPasses: number;
  /** Undefined: by hand, with strip on lip and brow. */
  readonly sugarWay?: 'hand' | 'strip' | undefined;
  readonly prep: 'powder' | 'oil' | 'dry';
  readonly families: readonly Family[];
}

/** How an option's slab is laid. */
export interface Laid {
  readonly coats: 1 | 2;
  /** Of all coats together, mm. */
  readonly thicknessMm: number;
  /** Pulled between these, s after the last lay. */
  readonly setS: { readonly min: number; readonly max: number };
  /** Of two coats. */
  readonly rest: CoatRest | null;
}

/** What the strips of an option come to. */
export interface StripFacts {
  readonly strips: number;
  readonly scheduleS: number;
  readonly massG: number;
  readonly meanAngleErrorDeg: number;
}

export interface Option {
  readonly product: Product;
  readonly family: Family;
  readonly way: Way;
  readonly manner: Manner;
  readonly eligible: boolean;
  readonly excludedBy: readonly string[];
  readonly passes: number;
  readonly coats: 1 | 2;
  /** Learned shift of its hold that it is counted with, log odds of hair left. */
  readonly holdShift: number;
  readonly removedShare: number;
  readonly brokenShare: number;
  /** Hairs that the strips leave; of them so many are tweezed, and this share of all stays for next time. */
  readonly leftHairs: number;
  readonly tweezed: number;
  readonly staysShare: number;
  readonly skinLoad: number;
  readonly workableShare: number;
  readonly shortestMm: number;
  readonly longestMm: number;
  readonly readyOn: CivilDate | null;
  readonly trimFirst: boolean;
  readonly window: WorkingWindow;
  /** Felt limit less the felt peak at the target, K. */
  readonly feltMarginK: number;
  readonly setS: { readonly min: number; readonly max: number };
  /** Rest between two coats; null of one. */
  readonly rest: CoatRest | null;
  readonly strips: number;
  /** Strips of the first pass and tweezing, min. */
  readonly tableMinutes: number;
  /** Ground of all passes as a multiple of the first's. */
  readonly ground: number;
  /** Later passes, s. */
  readonly laterS: number;
  /** All passes and tweezing, min. */
  readonly allMinutes: number;
  /** Of all passes. */
  readonly massG: number;
  readonly costMinor: number;
  /** What it costs the client, min: the sum of its parts. */
  readonly cost: number;
  readonly parts: CostParts;
}

// Skin that answers: what a learner stands before, what she does, and what becomes of every hair. Sheet centimetres,
// SI units otherwise, seconds. Same scene, same acts, same answer.

import type { Side, ZoneId } from '../anatomy';
import type { Hair } from '../hair';
import type { Product, Way } from '../products';
import type { Ring, Vec } from '../shared';

export interface Scene {
  readonly seed: number;
  readonly zone: ZoneId;
  readonly side: Side;
  readonly hair: Hair;
  /** 1 calm … 5 very reactive. */
  readonly sensitivity: number;
  readonly skin: 'dry' | 'normal' | 'oily';
  readonly roomC: number;
  /** Strokes that turn the zone's usual growth; absent = as it usually grows. */
  readonly strokes?: readonly { readonly at: Vec; readonly towards: Vec }[] | undefined;
  /** Hair stands only here; absent = on the whole zone. */
  readonly ground?: Ring | undefined;
  /** A share of the hair that grows turned beside the rest. */
  readonly crossing?: { readonly share: number; readonly turnDeg: number } | undefined;
  /** She starts at a pull that nobody counted in. */
  readonly starts?: boolean | undefined;
  /** Hair that is to stay, sheet centimetres. */
  readonly keep?: readonly Ring[] | undefined;
}

export interface SkinHair {
  readonly id: number;
  readonly at: Vec;
  /** Where the tip points, unit. */
  readonly way: Vec;
  readonly lengthMm: number;
  readonly thicknessUm: number;
  /** From the root to the surface. */
  readonly depthMm: number;
  readonly growing: boolean;
  /** It belongs to the share that grows across the rest. */
  readonly crosses: boolean;
  /** Agreed to stay: wax has no business here. */
  readonly stays: boolean;
  /** Its own luck at a first pull, against breaking, and under the clean cloth; evenly spread over all hairs, 0–1. */
  readonly hold: number;
  readonly snap: number;
  readonly cloth: number;
}

/** One strip from the load to the press, as the hand did it. */
export interface Act {
  readonly product: Product;
  readonly way: Way;
  /** Of each coat, at touch. */
  readonly touchC: number;
  /** Of all coats together. */
  readonly thicknessMm: number;
  readonly coats: 1 | 2;
  /** What lies under wax. */
  readonly outline: Ring;
  /** The stick's way. */
  readonly lay: Vec;
  /** From the end of the last lay to the pull. */
  readonly waitS: number;
  readonly pull: {
    readonly way: Vec;
    /** Off the skin; flat is 0. */
    readonly liftDeg: number;
    readonly cmPerS: number;
  };
  /** How taut the stretching hand holds the skin, 0 slack – 1 taut. */
  readonly taut: number;
  /** The palm on at once. */
  readonly pressed: boolean;
  /** The cloth pressed on and rubbed; of no meaning for what has its own tab. */
  readonly rubbed: boolean;
  readonly drySkin: boolean;
  /** The pull was counted in, with a breath; absent = it was. */
  readonly told?: boolean | undefined;
}

export type Fate = 'out' | 'broken' | 'left';

/** What can be otherwise than a practised hand does it. */
export const FAULTS = [
  'lift',
  'turned',
  'quick',
  'slow',
  'slack',
  'on-hair',
  'cool',
  'hot',
  'early',
  'late',
  'thin',
  'lay',
  'damp',
  'rub',
  'untold',
] as const;
export type FaultCode = (typeof FAULTS)[number];

export interface HairFate {
  readonly hair: number;
  readonly fate: Fate;
  /** Of a broken hair: where it snapped, from the root, mm. */
  readonly brokeAtMm: number | null;
  /** It came out with a drop of blood. */
  readonly bled: boolean;
}

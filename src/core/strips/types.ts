// Strips: where product lies on hair, and how it is laid and pulled. Sheet centimetres (shared/vec.ts).

import type { Ring, Vec } from '../shared';
import type { Way } from '../products';

export type TabOn = 'bare' | 'cleared' | 'hair';
export type TabKind = 'end' | 'narrow' | 'hook';

/** A piece of ground before tabs and order are known. */
export interface Piece {
  readonly outline: Ring;
  readonly areaCm2: number;
  /** Mean growth inside, unit vector. */
  readonly growth: Vec;
  readonly lay: Vec;
  readonly pull: Vec;
  /** Extent along the lay, and area ÷ extent, cm. */
  readonly lengthCm: number;
  readonly widthCm: number;
}

export interface Strip extends Piece {
  readonly id: string;
  /** Order of laying within the zone, from 1. */
  readonly order: number;
  /** Centre of the tab. */
  readonly tab: Vec;
  readonly tabRing: Ring;
  readonly tabOn: TabOn;
  readonly tabKind: TabKind;
  readonly touches: readonly string[];
  /** Strips that must be off before this one is laid. */
  readonly needsBefore: readonly string[];
}

export type HandLevel = 'trainee' | 'practised' | 'expert';

export interface PlannedGround {
  readonly ring: Ring;
  /** Kept in one piece; else cut along its length like any lane. */
  readonly whole: boolean;
  /** How the growth should run for this to hold, unit vector; null: any way. */
  readonly along: Vec | null;
}

export interface LayoutInput {
  readonly way: Way;
  /** Largest strip [width, length], cm. */
  readonly largestCm: readonly [number, number];
  /** Mean angle error that still counts as following the growth, degrees; 9.5 where nothing is said. */
  readonly meanErrorDeg?: number | undefined;
  /** Ground laid as a piece of its own where the growth allows it. */
  readonly planned?: readonly PlannedGround[];
}

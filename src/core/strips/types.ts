// Strips: where product lies on hair, and how it is laid and pulled. Sheet centimetres (shared/vec.ts).

import type { Region, Ring, Vec } from '../shared';
import type { Way } from '../products';

export type TabOn = 'bare' | 'cleared' | 'hair';
/** `stick`: none past the strip; it is lifted by a stick bedded in its end. */
export type TabKind = 'end' | 'narrow' | 'hook' | 'stick';

/** A piece of ground before tabs and order are known. */
export interface Piece {
  readonly outline: Ring;
  readonly areaCm2: number;
  /** Mean growth inside, unit vector. */
  readonly growth: Vec;
  readonly lay: Vec;
  readonly pull: Vec;
  /** Turned by hand from how the way lays it, degrees, x towards y; absent = not turned. */
  readonly turnDeg?: number | undefined;
  /** Of a fan round the middle of a whorl: combed, then laid as the hair lies. */
  readonly byEye?: true | undefined;
  /** Of a faded border: gripped by the stick bedded in it, not by a tab beside it. */
  readonly dab?: true | undefined;
  /** Laid and peeled along a rim, which it follows round: its length and the way of single hairs say nothing. */
  readonly alongRim?: true | undefined;
  /** Extent along the lay, and area ÷ extent, cm. */
  readonly lengthCm: number;
  readonly widthCm: number;
}

export interface Strip extends Piece {
  /** Mean density of the hair under it, 1–5; null where the chart has one for the whole zone. */
  readonly density: number | null;
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
  /** Follows a rim round on which hair grows any way. */
  readonly alongRim?: true | undefined;
}

/** A strip drawn or changed by hand. */
export interface HandStrip {
  /** Simple ring, sheet centimetres; what lies off the hair or on a mark's clearance is cut away. */
  readonly outline: Ring;
  readonly turnDeg?: number | undefined;
}

/** A border that thins out: dabs of wax and the hair between them that stays. */
export interface Fade {
  readonly dabs: readonly Ring[];
  readonly band: Ring;
}

export interface LayoutInput {
  readonly way: Way;
  /** Largest strip [width, length], cm. */
  readonly largestCm: readonly [number, number];
  /** Mean angle error that still counts as following the growth, degrees; 9.5 where nothing is said. */
  readonly meanErrorDeg?: number | undefined;
  /** Ground laid as a piece of its own where the growth allows it. */
  readonly planned?: readonly PlannedGround[];
  /** Upright line, x on the sheet, that no strip crosses: two halves that are worked each for itself. */
  readonly middleCm?: number | undefined;
  /** Hair that stays: no strip lies on it, and a tab on it lies on hair. */
  readonly keep?: Region | undefined;
  /** Ground beside the zone on which nothing may lie, not even a tab: the eye. */
  readonly never?: Region | undefined;
  /** The border is thinned out in dabs instead of ending. */
  readonly fade?: Fade | undefined;
  /** Density felt at a point, 1–5; absent where it is the same everywhere. */
  readonly densityAt?: ((at: Vec) => number) | undefined;
  /** Keeps what is cut for ways whose strips lie on the same ground. */
  readonly cutOnce?: ((cut: () => readonly Piece[]) => readonly Piece[]) | undefined;
  /** Strips laid out by hand: taken as they are, only tabs and order are found. */
  readonly byHand?: readonly HandStrip[] | undefined;
}

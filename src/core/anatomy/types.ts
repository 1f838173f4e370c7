// What the core knows about a zone of the body. Lengths on the sheet in centimetres, see shared/vec.ts for the axes.

import type { Vec } from '../shared';

export const ZONE_IDS = [
  'brow',
  'between-brows',
  'upper-lip',
  'chin',
  'jaw-throat',
  'cheek-sideburn',
  'ear',
  'nose-rim',
  'nape',
  'underarm',
  'forearm',
  'upper-arm',
  'hand',
  'shoulder',
  'upper-back',
  'lower-back',
  'chest',
  'abdomen',
  'thigh-front',
  'thigh-back',
  'knee',
  'lower-leg-front',
  'lower-leg-back',
  'foot',
  'bikini-edge',
  'bikini-extended',
  'front-complete',
  'buttock-crease',
] as const;

export type ZoneId = (typeof ZONE_IDS)[number];
export type Side = 'left' | 'right' | 'middle';
export type Family = 'hard' | 'soft' | 'sugar';
export const FAMILIES: readonly Family[] = ['hard', 'soft', 'sugar'];

export type SkinKind = 'shin' | 'thigh' | 'forearm' | 'trunk' | 'face' | 'bikini' | 'underarm';

export interface SkinOfZone {
  /** Surface temperature at rest, °C. */
  readonly restingC: number;
  readonly epidermisUm: number;
  /** Extra tenderness w, subtracted from the heat limit, K. */
  readonly tendernessK: number;
}

export interface GrowthOfZone {
  /** Median growth of the terminal hair, mm/day. */
  readonly rateMmPerDay: number;
  /** From the root to the surface, mm. */
  readonly depthMm: number;
  /** Share of follicles in the growing phase, 0–1. */
  readonly growingShare: number;
  /** Days over which the resting follicles restart. */
  readonly restartSpreadDays: number;
  /** Length of the growing phase, days. */
  readonly growingDays: number;
}

/** [width across the growth, length along it], cm, for a practised hand. */
export type StripSizeCm = readonly [number, number];

/** Default growth over the sheet: position in shares of width and height → direction (any length but zero). */
export type GrowthPattern = (u: number, v: number) => Vec;

export interface Zone {
  readonly id: ZoneId;
  readonly name: string;
  readonly paired: boolean;
  readonly sheetCm: readonly [number, number];
  /** Closed outline in shares of width and height, left side or middle. */
  readonly shape: readonly Vec[];
  readonly pattern: GrowthPattern;
  readonly growth: GrowthOfZone;
  /** Multiplies a product's shortest hair: finer hair is held shorter. */
  readonly shortestFactor: number;
  readonly skinKind: SkinKind;
  readonly skin: SkinOfZone;
  readonly face: boolean;
  readonly intimate: boolean;
  /** Families that may be used here at all. */
  readonly families: readonly Family[];
  /** Hairs per cm² at density 3 (from memory, to be corrected by eye). */
  readonly hairsPerCm2: number;
  /** Hair of full density only within an edge (shares of the left sheet), outside it at a share of that. */
  readonly thinned?: { readonly within: readonly Vec[]; readonly outside: number } | undefined;
  /** How much a pull here weighs on the skin and the client, 1 = lower leg (from memory). */
  readonly pullWeight: number;
  readonly stripCm: Readonly<Record<Family, StripSizeCm>>;
  /** Where the stretching hand goes, and the words at the pull. */
  readonly stretch: string;
  readonly cue: string;
}

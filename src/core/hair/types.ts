// What is seen of the hair of one zone today.

import type { CivilDate } from '../shared';

export type HairHistory = 'first' | 'regular' | 'lapsed' | 'shaved';

export interface PastLength {
  readonly on: CivilDate;
  readonly lengthMm: number;
}

/** What the hair does: lies flat on the skin, is caught under it, stands in layers two or three deep. */
export const HAIR_FLAGS = ['flat', 'under-skin', 'layers'] as const;
export type HairFlag = (typeof HAIR_FLAGS)[number];

export interface Hair {
  /** Typical (median) length, mm. */
  readonly lengthMm: number;
  /** Shortest and longest found, mm: about 1 hair in 20 lies beyond either. Absent = the usual spread. */
  readonly shortestMm?: number | undefined;
  readonly longestMm?: number | undefined;
  readonly flags?: readonly HairFlag[] | undefined;
  /** 1 fine … 5 very coarse. */
  readonly coarseness: number;
  /** 1 sparse … 5 dense. */
  readonly density: number;
  /** 1 straight … 5 tight curl. */
  readonly curl: number;
  readonly history: HairHistory;
  readonly lastWaxOn?: CivilDate | undefined;
  readonly past: readonly PastLength[];
}

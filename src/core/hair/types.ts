// What is seen of the hair of one zone today.

import type { CivilDate } from '../shared';

export type HairHistory = 'first' | 'regular' | 'lapsed' | 'shaved';

export interface PastLength {
  readonly on: CivilDate;
  readonly lengthMm: number;
}

export interface Hair {
  /** Typical (median) length, mm. */
  readonly lengthMm: number;
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

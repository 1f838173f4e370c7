// Another round over ground that was waxed, as it was laid out at the table. It stands in the journal whole, so that
// every tablet works by the same strips and the record has them.

import type { Side, ZoneId } from '../anatomy';
import type { Way } from '../products';
import type { Ring, Vec } from '../shared';
import type { TabKind, TabOn } from '../strips';

/** Fresh wax over the same skin is laid this often at most, whatever the house (common practice, no source). */
export const MOST_PASSES = 3;

export interface AddedStrip {
  readonly id: string;
  /** Goes on where the zone's numbers end. */
  readonly number: number;
  /** Which pass over this skin it is; two coats pulled once are one. */
  readonly pass: number;
  /** Strips whose ground it goes over. */
  readonly over: readonly string[];
  readonly outline: Ring;
  readonly growth: Vec;
  readonly lay: Vec;
  readonly pull: Vec;
  readonly tab: Vec;
  readonly tabOn: TabOn;
  readonly tabKind: TabKind;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly massG: number;
  /** Of the same round. */
  readonly touches: readonly string[];
  readonly needsBefore: readonly string[];
  readonly layS: number;
  readonly pulls: number;
  readonly pace: 'quick' | 'steady';
  readonly handwork: string | null;
}

export interface AddedRound {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly way: Way;
  readonly thicknessMm: number;
  /** At touch on waxed skin, °C; null where the product has no window of its own. */
  readonly touchC: number | null;
  readonly setS: { readonly min: number; readonly max: number };
  readonly endS: number;
  readonly strips: readonly AddedStrip[];
  /** Ids in the order of the acts: first the lay of each, then its pull. */
  readonly sequence: readonly string[];
  /** Why a third pass; empty where it is none. */
  readonly reason: string;
}

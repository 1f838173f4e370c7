import type { InWindow, PotWay } from '../../core/pots';

/** A pot as every page shows it. */
export interface LivePot {
  readonly id: string;
  readonly productId: string;
  readonly name: string;
  /** What is gone by, °C; null where nothing is known that still holds. */
  readonly tempC: number | null;
  readonly from: 'probe' | 'hand' | null;
  /** The probe is a simulated one. */
  readonly isSimulated: boolean;
  readonly atMs: number | null;
  readonly way: PotWay | null;
  readonly isSilent: boolean;
  /** Probe less hand, K, where they disagree. */
  readonly apartK: number | null;
  /** Null = off. */
  readonly setC: number | null;
  /** Warmer than set, and not on its way down. */
  readonly isOverSet: boolean;
  /** The visit that next works with it: its window in the pot, and where the pot is to that. */
  readonly next: {
    readonly startsAtMs: number;
    readonly minC: number;
    readonly maxC: number;
    readonly at: InWindow | null;
  } | null;
}

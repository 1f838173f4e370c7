// Marks on the skin that are worked around, and the clearance beyond their radius, mm (from memory).

import { discRing, intersectRegions, regionArea, type CivilDate, type Ring, type Vec } from '../shared';

export const MARK_KINDS = ['mole', 'tag', 'wart', 'piercing', 'irritated', 'tattoo', 'vein', 'scar'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

export interface Mark {
  readonly kind: MarkKind;
  readonly at: Vec;
  readonly radiusMm: number;
  /** What was noted about it, and the day since which it is known. */
  readonly note?: string | undefined;
  readonly since?: CivilDate | undefined;
}

export interface Exclusion {
  readonly at: Vec;
  /** Radius that no product may enter, mm. */
  readonly clearanceMm: number;
}

export const CLEARANCE_MM: Readonly<Record<MarkKind, number>> = {
  mole: 5,
  tag: 5,
  scar: 5,
  wart: 10,
  piercing: 10,
  vein: 10,
  tattoo: 10,
  irritated: 20,
};

export const exclusionOf = (mark: Mark): Exclusion => ({
  at: mark.at,
  clearanceMm: mark.radiusMm + CLEARANCE_MM[mark.kind],
});

/**
 * Ground of a zone that a mark keeps free of product, cm²; where marks lie close their rings overlap and add up to
 * less.
 */
export const markAreaCm2 = (outline: Ring, mark: Mark): number => {
  const { at, clearanceMm } = exclusionOf(mark);
  return regionArea(intersectRegions([outline], [discRing(at, clearanceMm / 10)]));
};

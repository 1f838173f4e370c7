// Where on a sheet the hair is thinner or thicker than the zone's own density. Places lie over each other in the order
// in which they were felt: the later one counts. Each holds fully near its middle and fades out towards its rim, as
// hair thins out over centimetres.

import { distance, roundTo, type Vec } from '../shared';

export interface DensityPlace {
  /** Sheet centimetres. */
  readonly at: Vec;
  readonly radiusCm: number;
  /** As felt, 1–5, on the same steps as the zone's own. */
  readonly density: number;
}

/** Up to this share of its radius a place counts fully. */
const FULL = 0.6;
/**
 * An older place gives way to a new one whose middle is this near, as a share of the new radius; a drag sets places a
 * little farther apart.
 */
const CLEARS = 0.4;

function weightOf(place: DensityPlace, at: Vec): number {
  const share = distance(place.at, at) / place.radiusCm;
  if (share >= 1) return 0;
  if (share <= FULL) return 1;
  const t = (1 - share) / (1 - FULL);
  return t * t * (3 - 2 * t);
}

/** Density felt at a point, 1–5: the zone's `usual` one, changed by the places that reach there. */
export const densityAt = (places: readonly DensityPlace[], usual: number, at: Vec): number =>
  places.reduce((density, place) => density + (place.density - density) * weightOf(place, at), usual);

/** The places after another one was felt; older ones right under it give way unless they reach beyond it. */
export function feelDensity(
  places: readonly DensityPlace[],
  { at, radiusCm, density }: DensityPlace,
): readonly DensityPlace[] {
  const under = (p: DensityPlace): boolean => p.radiusCm <= radiusCm && distance(p.at, at) < CLEARS * radiusCm;
  return [...places.filter((p) => !under(p)), { at: [roundTo(at[0], 2), roundTo(at[1], 2)], radiusCm, density }];
}

/** Places without those whose middle lies under the brush. */
export const eraseDensity = (places: readonly DensityPlace[], at: Vec, radiusCm: number): readonly DensityPlace[] =>
  places.some((p) => distance(p.at, at) < radiusCm) ? places.filter((p) => distance(p.at, at) >= radiusCm) : places;

/** Places mirrored in the sheet's upright middle. */
export const mirrorDensity = (places: readonly DensityPlace[], widthCm: number): readonly DensityPlace[] =>
  places.map((p) => ({ ...p, at: [roundTo(widthCm - p.at[0], 2), p.at[1]] }));

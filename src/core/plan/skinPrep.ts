// What goes on the skin before the wax, zone by zone: the house's way, but for where the trade is of one mind. Common
// practice, no source.

import type { PlanZone } from './planTypes';

export type SkinPrep = 'powder' | 'oil' | 'dry';

/**
 * Sugar lets go of oiled skin. A trace of oil goes on a knee, on dry skin under wax, and under soft wax on a brow; a
 * house that puts nothing on the skin does so everywhere.
 * @param house the house's own way
 * @param isDrySkin of the client
 */
export function prepFor(
  { zone, choice }: Pick<PlanZone, 'zone' | 'choice'>,
  house: SkinPrep,
  isDrySkin: boolean,
): SkinPrep {
  const family = choice?.family;
  if (family === 'sugar') return house === 'oil' ? 'powder' : house;
  if (house === 'dry') return 'dry';
  return isDrySkin || zone === 'knee' || (zone === 'brow' && family === 'soft') ? 'oil' : house;
}

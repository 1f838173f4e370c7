// When each zone's hair is ready again for what it was worked with: one window a zone.

import type { Family, Side } from '../anatomy';
import type { ZoneWindow } from '../care';
import type { PlanRegrowth } from './planTypes';

export interface ReturningZone {
  readonly name: string;
  readonly side: Side;
  /** The chosen family, or where nothing is chosen the best option's; undefined where nothing can be. */
  readonly family: Family | undefined;
}

/** Windows of zones in the order of the plan's regrowth; a zone whose hair is never ready has none. */
export function returnWindows(
  zones: readonly ReturningZone[],
  regrowth: readonly Pick<PlanRegrowth, 'ready'>[],
): readonly ZoneWindow[] {
  return zones.flatMap(({ name, side, family }, i) => {
    const window = regrowth[i]?.ready.find((r) => r.family === family);
    const where = side === 'middle' ? '' : `, ${side}`;
    return window ? [{ label: `${name.toLowerCase()}${where}`, fromOn: window.fromOn, toOn: window.toOn }] : [];
  });
}

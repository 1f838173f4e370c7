// Whether the wrist test of a pot stands. A test holds for one heat: where the same pot is worked at a cooler heat
// next, it is tested anew once the warmer zones are off, since it may not have come down yet.

import type { LiveGroup, TableEvent } from './live';

/** Groups of the same pot that are worked warmer, before this one. */
const warmer = (groups: readonly LiveGroup[], group: LiveGroup): readonly LiveGroup[] =>
  groups.filter((g) => g.product === group.product && (g.heatStage ?? 0) < (group.heatStage ?? 0));

/** True where wax of this group may be laid. `counted` are the standing events in order. */
export function wristStands(groups: readonly LiveGroup[], group: LiveGroup, counted: readonly TableEvent[]): boolean {
  const before = new Set(warmer(groups, group).flatMap((g) => g.jobs.map((j) => j.id)));
  const last = counted.findLastIndex((e) => e.strip !== undefined && e.kind !== 'mark' && before.has(e.strip));
  return counted.slice(last + 1).some((e) => e.kind === 'wrist' && e.product === group.product);
}

/** The pot was tested before, at a warmer heat. */
export const isTestedWarmer = (
  groups: readonly LiveGroup[],
  group: LiveGroup,
  counted: readonly TableEvent[],
): boolean =>
  warmer(groups, group).length > 0 && counted.some((e) => e.kind === 'wrist' && e.product === group.product);

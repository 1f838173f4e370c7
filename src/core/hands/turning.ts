// Whether the client lies as a round needs it. Turning over is noted at the table, so that wax is never laid for one
// position while the client lies in another.

import type { LiveGroup } from './live';
import type { TableEvent } from './tableEvents';

/**
 * True where nothing has to be turned, or it was noted after the last strip of the round before. `counted` in order.
 */
export function isTurned(groups: readonly LiveGroup[], group: LiveGroup, counted: readonly TableEvent[]): boolean {
  const place = groups.indexOf(group);
  const before = groups[place - 1];
  if (!before?.position || !group.position || before.position === group.position) return true;
  const earlier = new Set(groups.slice(0, place).flatMap((g) => g.jobs.map((j) => j.id)));
  const last = counted.findLastIndex((e) => e.strip !== undefined && e.kind !== 'mark' && earlier.has(e.strip));
  return counted.slice(last + 1).some((e) => e.kind === 'turned' && e.position === group.position);
}

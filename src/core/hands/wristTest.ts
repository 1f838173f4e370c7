// Whether the wrist test of a pot stands. A test holds for one heat: where the same pot is worked at a cooler heat
// next, it is tested anew once the warmer zones are off, since it may not have come down yet.

import type { LiveGroup } from './live';
import { deeds, type TableEvent } from './tableEvents';

/** Groups of the same pot that are worked warmer, before this one. */
const warmer = (groups: readonly LiveGroup[], group: LiveGroup): readonly LiveGroup[] =>
  groups.filter((g) => g.product === group.product && (g.heatStage ?? 0) < (group.heatStage ?? 0));

/** Why a pot is tested again: for cooler or for waxed skin, it was warmed or changed, or the test is old. */
export type TestAgain = 'cooler' | 'waxed' | 'warmed' | 'minutes';

/** A test holds this long, min: pots drift, and the top of a pot is not its bottom (from memory). */
const TEST_HOLDS_MIN = 15;

/** Where in the journal the last test of a pot must stand: after what made the one before worthless. */
function testsFrom(groups: readonly LiveGroup[], group: LiveGroup, counted: readonly TableEvent[]): number {
  const before = new Set(warmer(groups, group).flatMap((g) => g.jobs.map((j) => j.id)));
  const last = counted.findLastIndex((e) => e.strip !== undefined && e.kind !== 'mark' && before.has(e.strip));
  return Math.max(last, warmedAt(group, counted)) + 1;
}
const warmedAt = (group: LiveGroup, counted: readonly TableEvent[]): number =>
  counted.findLastIndex((e) => e.kind === 'reheat' && e.product === group.product);

const isTestOf =
  (group: LiveGroup) =>
  (e: TableEvent): boolean =>
    e.kind === 'wrist' && e.product === group.product;

/** True where wax of this group may be laid. `counted` are the standing events in order. */
export const wristStands = (groups: readonly LiveGroup[], group: LiveGroup, counted: readonly TableEvent[]): boolean =>
  counted.slice(testsFrom(groups, group, counted)).some(isTestOf(group));

/** Why this pot, tested before, is tested again; null where it was not tested yet. */
export function testedBefore(group: LiveGroup, counted: readonly TableEvent[]): TestAgain | null {
  if (!counted.some(isTestOf(group))) return null;
  if (warmedAt(group, counted) > counted.findLastIndex(isTestOf(group))) return 'warmed';
  return group.later ? 'waxed' : 'cooler';
}

/** A load from too warm a pot stands on a test of just now, ms. */
const JUST_NOW_MS = 120_000;
/** True where this pot was tested just now: then the wrist has decided, whatever a probe tells. */
export const isJustTested = (product: string, counted: readonly TableEvent[], nowMs: number): boolean =>
  counted.some((e) => e.kind === 'wrist' && e.product === product && nowMs - e.atMs <= JUST_NOW_MS);

/** True where the last test of this pot was longer ago than one holds, at the time of the last act. */
export function isTestOld(group: LiveGroup, counted: readonly TableEvent[]): boolean {
  const test = counted.findLast(isTestOf(group));
  const now = deeds(counted).at(-1);
  return test !== undefined && now !== undefined && now.atMs - test.atMs > TEST_HOLDS_MIN * 60_000;
}

// What is done at the table beside laying and pulling: preparing skin and hands before the first wax, a look together
// after a part, the finish. Each is an act like the others, and what is left out is said to be.

import type { LiveGroup } from './live';
import type { LiveStrip } from './liveStrips';
import { OFF, UNLAID } from './state';
import type { TableEvent } from './tableEvents';

type Strips = ReadonlyMap<string, LiveStrip>;

/** Steps done or left out. `counted` are the standing events. */
const said = (counted: readonly TableEvent[]): ReadonlySet<string> =>
  new Set(counted.flatMap((e) => (e.kind === 'step' && e.step !== undefined ? [e.step] : [])));

const open = (steps: readonly string[], counted: readonly TableEvent[]): readonly string[] => {
  const done = said(counted);
  return steps.filter((s) => !done.has(s));
};

/** Steps of preparation still open before a round; none once wax of it has been laid. */
export function prepareLeft(
  groups: readonly LiveGroup[],
  group: LiveGroup,
  strips: Strips,
  counted: readonly TableEvent[],
): readonly string[] {
  const ahead = groups.slice(groups.indexOf(group)).flatMap((g) => g.jobs);
  if (ahead.some((j) => (strips.get(j.id)?.stage ?? UNLAID) !== UNLAID)) return [];
  return open(group.before ?? [], counted);
}

/** Looks together that are due: all that they are about is off. */
export const checkNow = (
  groups: readonly LiveGroup[],
  strips: Strips,
  counted: readonly TableEvent[],
): readonly string[] =>
  open(
    groups.flatMap((g) =>
      (g.checks ?? [])
        .filter(({ jobs }) => jobs.every((i) => strips.get(g.jobs[i]?.id ?? '')?.stage === OFF))
        .map(({ step }) => step),
    ),
    counted,
  ).slice(0, 1);

/** Steps of the finish still open: what was done before the last pull is done again, but for what is told once. */
export function finishLeft(groups: readonly LiveGroup[], counted: readonly TableEvent[]): readonly string[] {
  const ever = said(counted);
  const since = said(counted.slice(counted.findLastIndex((e) => e.kind === 'pulled') + 1));
  return groups.flatMap((g) => (g.after ?? []).filter((s) => !(g.once?.includes(s) ? ever : since).has(s)));
}

/** All steps of a plan, in the order of the work. */
export const stepsOf = (groups: readonly LiveGroup[]): readonly string[] => [
  ...groups.flatMap((g) => [...(g.before ?? []), ...(g.checks ?? []).map((c) => c.step)]),
  ...groups.flatMap((g) => g.after ?? []),
];

export const isStep = (groups: readonly LiveGroup[], step: string): boolean => stepsOf(groups).includes(step);

// The acts from a table state on: in the plan's own order as long as it can be kept, whatever was done out of turn.

import { scheduleInOrder } from './fixedOrder';
import type { LiveGroup } from './live';
import { bestPolicy, costOf } from './policies';
import { searchSchedule } from './search';
import { canLay, FIRST_COAT, OFF, opsOf, SETTING, step, UNLAID, type TableState } from './state';
import type { Op } from './types';

const LIVE_WIDTH = 12;
const LIVE_LABELS = 3500;

/** How many acts (lays, then the pull) a strip at this stage has behind it. */
function actsDone(stage: number | undefined, coats: number): number {
  if (stage === OFF) return coats + 1;
  if (stage === SETTING) return coats;
  return stage === FIRST_COAT ? 1 : 0;
}

/** The rest of the plan's own sequence from a state; null where the table no longer fits it. */
function followPlan(group: LiveGroup, from: TableState): TableState | null {
  if (!group.sequence) return null;
  const done = group.jobs.map((job, i) => actsDone(from.stage[i], job.coats));
  let state = from;
  for (const job of group.sequence) {
    const left = done[job] ?? 0;
    if (left > 0) {
      done[job] = left - 1;
      continue;
    }
    if (state.stage[job] === UNLAID && !canLay(state, group, job)) return null;
    state = step(state, group, job);
  }
  return state.stage.every((s) => s === OFF) ? state : null;
}

/** What is left in the order of the plan: on the skin as it was laid, set strips before resting ones, then the rest. */
function inOrder(group: LiveGroup, from: TableState): TableState | null {
  if (!group.order) return null;
  const is = (stage: number): readonly number[] => group.jobs.flatMap((_, i) => (from.stage[i] === stage ? [i] : []));
  const oldest = (list: readonly number[]): readonly number[] =>
    [...list].sort((a, b) => (from.dueS[a] ?? 0) - (from.dueS[b] ?? 0));
  const left = [
    ...oldest(is(SETTING)),
    ...oldest(is(FIRST_COAT)),
    ...group.order.filter((i) => from.stage[i] === UNLAID),
  ];
  return scheduleInOrder(group, left, { from, mayBeLate: true });
}

/** Whatever ends first: the best policy, bettered by a narrow search. */
function freely(group: LiveGroup, from: TableState, planned: TableState | null): TableState | null {
  const policy = bestPolicy(group, from, true);
  const start = planned && (!policy || costOf(planned) <= costOf(policy)) ? planned : policy;
  const found = searchSchedule(group, {
    width: LIVE_WIDTH,
    relaxed: false,
    mayBeLate: true,
    beatS: start ? costOf(start) : Infinity,
    maxLabels: LIVE_LABELS,
    from,
  });
  return found.best ?? start;
}

export interface Replanned {
  readonly ops: readonly Op[];
  /** Not in the order of the plan, in which a strip would come off too late. */
  readonly leavesOrder: boolean;
}

/**
 * Planned acts from a table state on. Where the plan has an order to remember the acts stay in it, whatever was done
 * out of turn; they leave it only where a strip would be late in it and is not, or less so, otherwise.
 */
export function replan(group: LiveGroup, from: TableState): Replanned {
  const planned = followPlan(group, from);
  const kept = inOrder(group, from);
  if (!kept) {
    const end = freely(group, from, planned);
    return { ops: end ? opsOf(end) : [], leavesOrder: false };
  }
  // the plan's own acts where they are as good: they are what was looked at
  const own = planned && costOf(planned) <= costOf(kept) ? planned : kept;
  if (own.lateS <= from.lateS) return { ops: opsOf(own), leavesOrder: false };
  const free = freely(group, from, planned);
  const leaves = free !== null && free.lateS < own.lateS;
  return { ops: opsOf(leaves ? free : own), leavesOrder: leaves };
}

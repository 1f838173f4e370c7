// Simple ways in which practitioners work, as starting points: first in first out with up to k strips setting, one side
// to its end or alternating. The best of them is never beaten by what the search returns only by luck: the search
// starts from it.

import {
  canLay,
  emptyTable,
  FIRST_COAT,
  isOnSkin,
  makesDeadlines,
  nextStart,
  OFF,
  step,
  walkTo,
  type TableState,
} from './state';
import type { HandsInput, StripJob } from './types';

export interface Policy {
  /** Strips setting at once. */
  readonly limit: number;
  /** Lay what is on this side first, or take turns. */
  readonly sides: 'stay' | 'turns' | 'one-then-other';
}

function layChoice(state: TableState, input: HandsInput, policy: Policy): number | null {
  const open = input.jobs.flatMap((_, i) => (canLay(state, input, i, policy.limit) ? [i] : []));
  const near = (i: number): number => walkTo(state, input.jobs[i] as StripJob, 1); // indices of jobs
  if (policy.sides === 'one-then-other') {
    const first = input.jobs.findIndex((_, i) => state.stage[i] !== OFF);
    const side = input.jobs[first]?.side ?? null;
    return open.find((i) => (input.jobs[i]?.side ?? side) === side) ?? null;
  }
  const want = policy.sides === 'stay' ? 0 : 1;
  return open.find((i) => near(i) === want) ?? open[0] ?? null;
}

/**
 * Runs a policy from a state to the end. In live use (`mayBeLate`) a late strip is pulled late instead of giving up.
 */
export function runPolicy(
  input: HandsInput,
  policy: Policy,
  from: TableState = emptyTable(input.jobs.length),
  mayBeLate = false,
): TableState | null {
  let state = from;
  for (let guard = 0; guard < 4 * input.jobs.length + 4; guard++) {
    const onSkin = input.jobs.flatMap((_, i) => (isOnSkin(state.stage[i]) ? [i] : []));
    if (onSkin.length === 0 && input.jobs.every((_, i) => state.stage[i] === OFF)) return state;
    const due = onSkin.sort(
      (a, b) => nextStart(state, input, a) - nextStart(state, input, b) || (state.dueS[a] ?? 0) - (state.dueS[b] ?? 0),
    )[0];
    const coat = onSkin.find((i) => state.stage[i] === FIRST_COAT && nextStart(state, input, i) <= state.nowS);
    const isReady =
      due !== undefined &&
      nextStart(state, input, due) <= state.nowS + walkTo(state, input.jobs[due] as StripJob, input.walkS);
    const lay = isReady ? null : layChoice(state, input, policy);
    const afterLay = lay === null ? null : step(state, input, lay);
    if (coat !== undefined) state = step(state, input, coat);
    else if (afterLay && (makesDeadlines(afterLay, input) || (mayBeLate && onSkin.length === 0))) state = afterLay;
    else if (due !== undefined) state = step(state, input, due);
    else return null;
    if (state.lateS > 0 && !mayBeLate) return null;
  }
  return null;
}

export function allPolicies(input: HandsInput): readonly Policy[] {
  const hasSides = new Set(input.jobs.map((j) => j.side)).size > 1;
  const sides: readonly Policy['sides'][] = hasSides ? ['stay', 'turns', 'one-then-other'] : ['stay'];
  return sides.flatMap((s) => Array.from({ length: input.maxOnSkin }, (_, k): Policy => ({ limit: k + 1, sides: s })));
}

/** Best end of all policies, with the state that reaches it; null where none is feasible. */
export function bestPolicy(input: HandsInput, from?: TableState, mayBeLate = false): TableState | null {
  let best: TableState | null = null;
  for (const policy of allPolicies(input)) {
    const end = runPolicy(input, policy, from, mayBeLate);
    if (end && (!best || costOf(end) < costOf(best))) best = end;
  }
  return best;
}

/** An overdue strip costs ten for every second. */
export const costOf = (state: Pick<TableState, 'nowS' | 'lateS'>): number => state.nowS + 10 * state.lateS;

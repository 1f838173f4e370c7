import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared';
import { scheduleInOrder } from './fixedOrder';
import { roughEndS } from './roughEnd';
import { randomTask } from './randomTask';
import { scheduleHands } from './schedule';
import {
  canLay,
  emptyTable,
  FIRST_COAT,
  isOnSkin,
  OFF,
  onSkinCount,
  opsOf,
  SETTING,
  step,
  UNLAID,
  type TableState,
} from './state';
import type { HandsInput } from './types';

/** Every way to work an order in which what was laid first is coated and pulled first: the earliest end, s. */
function byTrying(input: HandsInput, order: readonly number[], state: TableState, beatS = Infinity): number {
  if (state.lateS > 0 || state.nowS >= beatS) return beatS;
  if (state.stage.every((s) => s === OFF)) return state.nowS;
  const next = order.find((i) => state.stage[i] === UNLAID);
  const coat = order.find((i) => state.stage[i] === FIRST_COAT);
  const oldest = order.find((i) => isOnSkin(state.stage[i]));
  const acts = [
    ...(coat === undefined ? [] : [coat]),
    ...(oldest !== undefined && state.stage[oldest] === SETTING ? [oldest] : []),
    ...(next !== undefined && canLay(state, input, next) ? [next] : []),
  ];
  return acts.reduce((best, i) => byTrying(input, order, step(state, input, i), best), beatS);
}

const possible = (input: HandsInput): readonly number[] => input.jobs.map((_, i) => i);

/** What every schedule must keep to, looked at act by act. */
function breaches(input: HandsInput, end: TableState): number {
  let state = emptyTable(input.jobs.length);
  let wrong = 0;
  for (const op of opsOf(end)) {
    if (op.kind === 'lay' && !canLay(state, input, op.job)) wrong++;
    if (op.kind === 'pull' && (op.startS < (state.readyS[op.job] ?? 0) || op.startS > (state.dueS[op.job] ?? 0))) {
      wrong++;
    }
    state = step(state, input, op.job);
    if (onSkinCount(state) > input.maxOnSkin) wrong++;
  }
  return wrong;
}

describe('scheduleInOrder', () => {
  it.each([1, 2] as const)('ends as early as trying everything does, %i coat(s)', (coats) => {
    const random = seededRandom(31 + coats);
    const tasks = Array.from({ length: 40 }, () => randomTask(random, random.whole(2, coats === 1 ? 6 : 4), coats));
    const ends = tasks.map((task) => scheduleInOrder(task, possible(task))?.nowS ?? Infinity);
    expect(ends).toEqual(tasks.map((task) => byTrying(task, possible(task), emptyTable(task.jobs.length))));
    expect(ends.filter(Number.isFinite).length).toBeGreaterThan(20);
  });
  it('keeps every rule, and never ends before what is proved to be the earliest', () => {
    const random = seededRandom(7);
    const tasks = Array.from({ length: 60 }, () => randomTask(random, random.whole(4, 9)));
    const found = tasks.flatMap((task) => {
      const end = scheduleInOrder(task, possible(task));
      return end ? [{ task, end }] : [];
    });
    expect(found.length).toBeGreaterThan(30);
    expect(found.filter(({ task, end }) => breaches(task, end) > 0)).toEqual([]);
    const early = found.filter(({ task, end }) => {
      const free = scheduleHands(task);
      return free.bound === 'proven' && end.nowS < free.endS;
    });
    expect(early).toEqual([]);
  });
  it('finds nothing that does not end before what is to be beaten', () => {
    const task = randomTask(seededRandom(5), 6);
    const end = scheduleInOrder(task, possible(task));
    if (!end) throw new Error('this task can be worked');
    expect(scheduleInOrder(task, possible(task), { beatS: end.nowS })).toBeNull();
    expect(scheduleInOrder(task, possible(task), { beatS: end.nowS + 1 })?.nowS).toBe(end.nowS);
  });
  it('is never beaten by the rough end of the same order, and that is a true end of it', () => {
    const random = seededRandom(77);
    const tasks = Array.from({ length: 200 }, () =>
      randomTask(random, random.whole(2, 9), random.whole(1, 2) === 1 ? 1 : 2),
    );
    const pairs = tasks.map((task) => [
      scheduleInOrder(task, possible(task))?.nowS ?? Infinity,
      roughEndS(task, possible(task)),
    ]);
    expect(pairs.filter(([best, rough]) => (rough ?? 0) < (best ?? 0))).toEqual([]);
    const found = pairs.filter(([, rough]) => Number.isFinite(rough));
    expect(found.length).toBeGreaterThan(80);
    // without looking ahead it is often the best already
    expect(found.filter(([best, rough]) => rough === best).length).toBeGreaterThan(0.3 * found.length);
  });
});

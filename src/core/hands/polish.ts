// Polishing a found schedule: acts are moved a little and two strips change places, over and over; what is not allowed or late is dropped,
// what ends no later than some tens of changes ago is kept (late acceptance), so that the walk crosses the many schedules of equal end.
// Asked for order, it leans among those to the one in which the strips are given: row by row, the thinnest hair first.
// Seeded and counted, not timed: the same task gives the same schedule.

import { seededRandom } from '../shared';
import { FastTable, packed } from './fastTable';
import * as stages from './state';
import type { HandsInput } from './types';

const { emptyTable, opsOf, step, UNLAID } = stages;

const SEED = 29;
/** Share of the changes in which two strips change places; in the others an act is moved by at most so many places. */
const SWAPS = 0.3;
const REACH = 7;
/** Costs remembered: more remember worse ones longer and walk farther. */
const MEMORY = 60;

/**
 * The earliest end that `changes` small changes lead to; with `order`, of those that end alike one near the order of `input.jobs`. `end`
 * must be reached without a late pull; it is never made later.
 */
export function polished(input: HandsInput, end: stages.TableState, changes: number, want: 'time' | 'order'): stages.TableState {
  const jobs = packed(input);
  const random = seededRandom(SEED);
  const table = new FastTable(jobs);
  const bare = new FastTable(jobs);
  const acts = Int32Array.from(opsOf(end), (op) => op.job);
  const kept = acts.slice();
  const length = acts.length;
  const { lay, finish, count, maxOnSkin } = jobs;
  const unlaid = UNLAID; // a copy of its own, as in pilot.ts
  const work = input.jobs.reduce((s, j) => s + j.coats * j.layS + j.pullS + j.pressS, 0);
  // places times strips add up to this in their own order, and to `least` backwards
  const most = ((count - 1) * count * (2 * count - 1)) / 6;
  const orderly = want === 'order';
  const span = most - ((count - 1) * count * (count - 2)) / 6 + 1;
  /** End of the acts as they stand and, where order counts, under a second how far they are from the strips' own order; Infinity where an act is not allowed, late or past `limit`. */
  const costOf = (limit: number): number => {
    table.copyFrom(bare);
    let left = work;
    let place = 0;
    let order = 0;
    for (let k = 0; k < length; k++) {
      const i = acts[k] as number; // k < length
      const laying = table.stage[i] === unlaid;
      if (laying && !table.canLay(i, maxOnSkin)) return Infinity;
      const before = table.off;
      if (!table.act(i)) return Infinity;
      left -= table.off > before ? (finish[i] as number) : (lay[i] as number);
      if (table.now + left > limit) return Infinity;
      if (laying) order += i * place++;
    }
    return orderly ? table.now + (most - order) / span : table.now;
  };
  let now = costOf(Infinity);
  let bestCost = now;
  let best: Int32Array | null = null;
  const costs = new Float64Array(MEMORY).fill(now);
  for (let c = 0; c < changes; c++) {
    kept.set(acts);
    if (random.next() < SWAPS) {
      const [a, b] = [random.whole(0, count - 1), random.whole(0, count - 1)];
      for (let k = 0; k < length; k++) acts[k] = acts[k] === a ? b : acts[k] === b ? a : (acts[k] as number);
    } else {
      const from = random.whole(0, length - 1);
      const to = Math.max(0, Math.min(length - 1, from + random.whole(-REACH, REACH)));
      const moved = acts[from] as number;
      if (to > from) acts.copyWithin(from, from + 1, to + 1);
      else acts.copyWithin(to + 1, to, from);
      acts[to] = moved;
    }
    const slot = c % MEMORY;
    const limit = Math.max(now, costs[slot] as number);
    const made = costOf(limit);
    if (made > limit) acts.set(kept);
    else {
      now = made;
      if (made < bestCost) [bestCost, best] = [made, acts.slice()];
    }
    costs[slot] = now;
  }
  return best ? [...best].reduce((state, i) => step(state, input, i), emptyTable(count)) : end;
}

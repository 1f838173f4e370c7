// Among schedules that end alike, the one that keeps to the order of the strips: row by row, the thinnest hair first. A search takes
// whichever strip it meets; here two strips change places wherever no time is lost and every rule still holds.

import { FastTable, packed } from './fastTable';
import { emptyTable, opsOf, step, UNLAID, type TableState } from './state';
import type { HandsInput } from './types';

/** Strips tried for a place, first in order first; a later one is hardly worth the change. */
const TRIES = 6;

/** The same strips with an end no later, laid as far as possible in the order of `input.jobs`. `end` must be reached without a late pull. */
export function inRowOrder(input: HandsInput, end: TableState): TableState {
  const jobs = packed(input);
  const table = new FastTable(jobs);
  const bare = new FastTable(jobs);
  const holds = (acts: readonly number[]): boolean => {
    table.copyFrom(bare);
    for (const i of acts) {
      if (table.stage[i] === UNLAID && !table.canLay(i, jobs.maxOnSkin)) return false;
      if (!table.act(i) || table.now > end.nowS) return false;
    }
    return table.off === jobs.count;
  };
  const found = opsOf(end).map((op) => op.job);
  let acts = found;
  const lays = [...new Set(found)];
  for (let place = 0; place < lays.length; place++) {
    const mine = lays[place] as number; // place < lays.length
    const earlier = lays.slice(place + 1).filter((i) => i < mine).sort((a, b) => a - b).slice(0, TRIES);
    for (const other of earlier) {
      const swapped = acts.map((i) => (i === mine ? other : i === other ? mine : i));
      if (!holds(swapped)) continue;
      acts = swapped;
      lays[lays.indexOf(other)] = mine;
      lays[place] = other;
      break;
    }
  }
  return acts === found ? end : acts.reduce((state, i) => step(state, input, i), emptyTable(input.jobs.length));
}

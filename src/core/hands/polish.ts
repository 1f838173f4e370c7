// Polishing a found schedule: acts are moved a little and two strips change places, over and over; what is not allowed
// or late is dropped, what ends no later than some tens of changes ago is kept (late acceptance), so that the walk
// crosses the many schedules of equal end. Asked for order, it leans among those to the one in which the strips are
// given: row by row, the thinnest hair first. Seeded and counted, not timed: the same task gives the same schedule.

import { seededRandom } from '../shared';
import { FastTable, packed, type PackedJobs } from './fastTable';
import * as stages from './state';
import type { HandsInput } from './types';

const { emptyTable, opsOf, step, UNLAID } = stages;

const SEED = 29;
/** Share of the changes in which two strips change places; in the others an act is moved by at most so many places. */
const SWAPS = 0.3;
const REACH = 7;
/** Costs remembered: more remember worse ones longer and walk farther. */
const MEMORY = 60;
/** The table is kept after every so many acts, so that a change is tried from the last kept one before it. */
const KEEP_EVERY = 4;

/** A row of acts on the table: its cost, tried only from where it has changed. */
class ActRow {
  readonly acts: Int32Array;
  private readonly table: FastTable;
  private readonly kept: readonly FastTable[];
  /** At each kept table: seconds of work left, strips laid, and their places times strips. */
  private readonly left: Float64Array;
  private readonly laid: Float64Array;
  private readonly order: Float64Array;
  // places times strips add up to `most` in their own order; the least, backwards, is `span` less
  private readonly most: number;
  private readonly span: number;

  constructor(
    private readonly jobs: PackedJobs,
    acts: readonly number[],
    private readonly orderly: boolean,
  ) {
    const n = jobs.count;
    this.acts = Int32Array.from(acts);
    this.table = new FastTable(jobs);
    this.kept = Array.from({ length: Math.ceil(acts.length / KEEP_EVERY) }, () => new FastTable(jobs));
    [this.left, this.laid, this.order] = [
      new Float64Array(this.kept.length),
      new Float64Array(this.kept.length),
      new Float64Array(this.kept.length),
    ];
    this.left[0] = jobs.finish.reduce((s, f, i) => s + f + (jobs.coats[i] as number) * (jobs.lay[i] as number), 0);
    this.most = ((n - 1) * n * (2 * n - 1)) / 6;
    this.span = this.most - ((n - 1) * n * (n - 2)) / 6 + 1;
  }

  /**
   * End of the acts and, where order counts, under a second how far they are from the strips' own; Infinity where an
   * act is not allowed, late, or leaves too much for `limit`. Nothing before `from` may have changed since the last
   * time with `keep`.
   */
  cost(from: number, limit: number, keep: boolean): number {
    const { acts, table, jobs } = this;
    const unlaid = UNLAID;
    const first = Math.floor(from / KEEP_EVERY);
    table.copyFrom(this.kept[first] as FastTable); // from lies within the acts
    let left = this.left[first] as number;
    let place = this.laid[first] as number;
    let order = this.order[first] as number;
    for (let k = first * KEEP_EVERY; k < acts.length; k++) {
      if (keep && k % KEEP_EVERY === 0) {
        const at = k / KEEP_EVERY;
        this.kept[at]?.copyFrom(table);
        this.left[at] = left;
        this.laid[at] = place;
        this.order[at] = order;
      }
      const i = acts[k] as number; // k lies within the acts
      const laying = table.stage[i] === unlaid;
      if (laying && !table.canLay(i, jobs.maxOnSkin)) return Infinity;
      const before = table.off;
      if (!table.act(i)) return Infinity;
      left -= table.off > before ? (jobs.finish[i] as number) : (jobs.lay[i] as number);
      if (table.now + left > limit) return Infinity;
      if (laying) order += i * place++;
    }
    return this.orderly ? table.now + (this.most - order) / this.span : table.now;
  }
}

/** Two strips change places; the first place that has changed, or the length where none has. */
function swap(acts: Int32Array, a: number, b: number): number {
  if (a === b) return acts.length;
  let first = acts.length;
  for (let k = 0; k < acts.length; k++) {
    const i = acts[k];
    if (i !== a && i !== b) continue;
    acts[k] = i === a ? b : a;
    if (first === acts.length) first = k;
  }
  return first;
}

/** Moves an act; the first place that has changed, or the length where none has. */
function move(acts: Int32Array, from: number, to: number): number {
  const moved = acts[from] as number; // within the acts
  if (to > from) acts.copyWithin(from, from + 1, to + 1);
  else acts.copyWithin(to + 1, to, from);
  acts[to] = moved;
  return from === to ? acts.length : Math.min(from, to);
}

/**
 * The earliest end that `changes` small changes lead to; with `order`, of those that end alike one near the order of
 * `input.jobs`. `end` must be reached without a late pull; it is never made later.
 */
export function polished(
  input: HandsInput,
  end: stages.TableState,
  changes: number,
  want: 'time' | 'order',
): stages.TableState {
  const jobs = packed(input);
  const random = seededRandom(SEED);
  const row = new ActRow(
    jobs,
    opsOf(end).map((op) => op.job),
    want === 'order',
  );
  const { acts } = row;
  const before = acts.slice();
  let now = row.cost(0, Infinity, true);
  let bestCost = now;
  let best: Int32Array | null = null;
  const costs = new Float64Array(MEMORY).fill(now);
  for (let c = 0; c < changes; c++) {
    const at = random.whole(0, acts.length - 1);
    const first =
      random.next() < SWAPS
        ? swap(acts, random.whole(0, jobs.count - 1), random.whole(0, jobs.count - 1))
        : move(acts, at, Math.max(0, Math.min(acts.length - 1, at + random.whole(-REACH, REACH))));
    const slot = c % MEMORY;
    if (first < acts.length) {
      const limit = Math.max(now, costs[slot] as number);
      const made = row.cost(first, limit, false);
      if (made <= limit) {
        row.cost(first, Infinity, true);
        before.set(acts);
        now = made;
        if (made < bestCost) [bestCost, best] = [made, acts.slice()];
      } else acts.set(before);
    }
    costs[slot] = now;
  }
  return best ? [...best].reduce((state, i) => step(state, input, i), emptyTable(jobs.count)) : end;
}

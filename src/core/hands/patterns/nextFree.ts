// The order that the eye gives by itself: the first strip, row by row from the tab end, that may be laid now. What
// touches wax that still lies is passed over and comes as soon as it is free.

import { canLay, emptyTable, FIRST_COAT, makesDeadlines, SETTING, step, type TableState } from '../state';
import type { HandsInput, Op } from '../types';

/** The strips of one side, row by row. Of a pair alike, the same places hold the same strips. */
export interface SideList {
  /** Jobs of the task. */
  readonly jobs: readonly number[];
  /** How high each lies above the tab end, strip lengths. */
  readonly heights: readonly number[];
}

/** Nobody leaves a strip behind to lay one that lies further ahead than this, strip lengths: the hand waits instead. */
const AHEAD = 2;

/** On a pair, where the next strip is looked for first: where the hands are, always on the one side, or across. */
export type LooksFirst = 'here' | 'one-side' | 'across';

interface Walk {
  readonly input: HandsInput;
  readonly sides: readonly SideList[];
  /** Both sides go by one sequence. */
  readonly alike: boolean;
  /** Strips on the skin at once. */
  readonly most: number;
  readonly first: LooksFirst;
}

/** Sides in the order in which they are looked at; `standing` is null before the first strip. */
function lookedAt({ sides, first }: Pick<Walk, 'sides' | 'first'>, standing: number | null): readonly number[] {
  if (sides.length === 1) return [0];
  const here = standing ?? 0;
  const begin = { here, 'one-side': 0, across: standing === null ? 0 : 1 - here }[first];
  return [begin, 1 - begin];
}

/** How far each side has come: places of its list, in the order of laying. */
type Taken = readonly number[][];

/** Places of a side that are looked at: what is not laid and lies no further ahead of the lowest of them. */
function inSight({ jobs, heights }: SideList, isLaid: (place: number) => boolean): readonly number[] {
  const open = jobs.map((_, k) => k).filter((k) => !isLaid(k));
  const lowest = Math.min(...open.map((k) => heights[k] ?? 0));
  return open.filter((k) => (heights[k] ?? 0) <= lowest + AHEAD);
}

/** The place that comes next on a side: as the other side has gone before it, else the first that may be laid. */
function nextOn(
  { sides, alike }: Pick<Walk, 'sides' | 'alike'>,
  taken: Taken,
  side: number,
  mayLay: (job: number) => boolean,
): number | null {
  const list = sides[side];
  const own = taken[side] ?? [];
  if (!list || own.length === list.jobs.length) return null;
  const isFree = (place: number): boolean => mayLay(list.jobs[place] ?? -1);
  const led = alike ? taken[1 - side]?.[own.length] : undefined;
  if (led !== undefined) return isFree(led) ? led : null;
  return inSight(list, (k) => own.includes(k)).find(isFree) ?? null;
}

interface Lay {
  readonly side: number;
  readonly place: number;
  readonly table: TableState;
}

/** The next free strip of the side that is looked at first, else of the other. Null where none is free in time. */
function nextLay(walk: Walk, table: TableState, taken: Taken, standing: number | null): Lay | null {
  const mayLay = (job: number): boolean => canLay(table, walk.input, job, walk.most);
  for (const side of lookedAt(walk, standing)) {
    const place = nextOn(walk, taken, side, mayLay);
    const job = place === null ? undefined : walk.sides[side]?.jobs[place];
    if (place === null || job === undefined) continue;
    const made = step(table, walk.input, job);
    if (makesDeadlines(made, walk.input)) return { side, place, table: made };
  }
  return null;
}

/**
 * Jobs in the order of laying where the next free strip is laid until the oldest is ready to come off. Null where a
 * strip would come off too late so.
 */
export function nextFreeOrder(walk: Walk): readonly number[] | null {
  const count = walk.sides.reduce((n, list) => n + list.jobs.length, 0);
  const taken: number[][] = walk.sides.map(() => []);
  const order: number[] = [];
  let [table, off] = [emptyTable(walk.input.jobs.length), 0];
  let standing: number | null = null;
  while (off < count) {
    // the oldest coat that rests, or the oldest strip that sets: whichever is ready first
    const rests = order.find((job, k) => k >= off && table.stage[job] === FIRST_COAT);
    const sets = order.slice(off, off + 1).find((job) => table.stage[job] === SETTING);
    const readyS = (job: number | undefined): number => (job === undefined ? Infinity : (table.readyS[job] ?? 0));
    const due = readyS(sets) < readyS(rests) ? sets : rests;
    const isReady = readyS(due) <= table.nowS;
    const lay: Lay | null = isReady ? null : nextLay(walk, table, taken, standing);
    if (lay) {
      taken[lay.side]?.push(lay.place);
      order.push(walk.sides[lay.side]?.jobs[lay.place] ?? 0);
      table = lay.table;
      standing = lay.side;
    } else {
      if (due === undefined) return null;
      const pulls = table.stage[due] === SETTING;
      table = step(table, walk.input, due);
      if (table.lateS > 0) return null;
      if (pulls) off++;
    }
  }
  return order;
}

/**
 * Whether a schedule holds to its own sentence: at every lay nothing that comes before it in the list, or on the side
 * that is looked at first, might have been laid.
 */
export function holdsNextFree(walk: Omit<Walk, 'most'>, ops: readonly Op[]): boolean {
  const { input, sides } = walk;
  const [on, off, laid] = [new Set<number>(), new Set<number>(), new Set<number>()];
  const taken: number[][] = sides.map(() => []);
  let standing: number | null = null;
  const mayLay = (job: number): boolean => {
    const { needs = [], after = [], touches = [] } = input.jobs[job] ?? {};
    return needs.every((n) => off.has(n)) && after.every((n) => laid.has(n)) && !touches.some((t) => on.has(t));
  };
  return ops.every((op) => {
    if (op.kind === 'pull') {
      on.delete(op.job);
      off.add(op.job);
    }
    if (op.kind !== 'lay') return true;
    const free = lookedAt(walk, standing)
      .map((side) => ({ side, place: nextOn(walk, taken, side, mayLay) }))
      .find(({ place }) => place !== null);
    const side = sides.findIndex((one) => one.jobs.includes(op.job));
    const place = sides[side]?.jobs.indexOf(op.job) ?? -1;
    taken[side]?.push(place);
    standing = side;
    laid.add(op.job);
    on.add(op.job);
    return free?.side === side && free.place === place;
  });
}

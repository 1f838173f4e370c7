// Label search over the acts of the hands. All states after the same number of acts form one level; states with the
// same stages and side are compared by time, readiness and latest pulls (Pareto). Without a width the search is exact
// for the relaxed task (latest pulls ignored) and proves its optimum; with a width it is a beam. Limits by label
// counts, not clocks, so the same input gives the same schedule.

import { boundTables, remainingBound, type BoundTables } from './bounds';
import { costOf } from './policies';
import {
  canLay,
  emptyTable,
  FIRST_COAT,
  makesDeadlines,
  nextStart,
  OFF,
  SETTING,
  step,
  type TableState,
} from './state';
import type { HandsInput } from './types';

export interface SearchOptions {
  /** States kept a level; undefined = all. */
  readonly width?: number | undefined;
  /** Ignore latest pulls: gives a bound and often the optimum itself. */
  readonly relaxed: boolean;
  /** Late pulls cost instead of being refused (live re-planning). */
  readonly mayBeLate?: boolean;
  /** Known end to beat, s. */
  readonly beatS: number;
  /** Most labels made before the search gives up. */
  readonly maxLabels: number;
  readonly from?: TableState;
}

export interface SearchResult {
  readonly outcome: 'finished' | 'gave-up';
  readonly best: TableState | null;
  readonly labels: number;
}

interface Entry {
  readonly state: TableState;
  readonly bound: number;
}

const keyOf = (state: TableState): string => `${String.fromCharCode(...state.stage)}${state.side ?? ''}`;

/** True where `a` is at least as good as `b` in everything that what follows can depend on. */
function dominates(a: TableState, b: TableState, relaxed: boolean): boolean {
  if (a.nowS > b.nowS || a.lateS > b.lateS) return false;
  for (let i = 0; i < a.stage.length; i++) {
    const stage = a.stage[i];
    if (stage !== SETTING && stage !== FIRST_COAT) continue;
    // what is ready before the hands are free is as good as ready now
    if (Math.max(a.readyS[i] as number, a.nowS) > Math.max(b.readyS[i] as number, b.nowS)) return false;
    if (!relaxed && stage === SETTING && (a.dueS[i] as number) < (b.dueS[i] as number)) return false;
    // how long a first coat has rested decides what it may wait for and how soon the second sets
    if (stage === FIRST_COAT && a.dueS[i] !== b.dueS[i]) return false;
  }
  return true;
}

function* successors(state: TableState, input: HandsInput, options: SearchOptions): Generator<TableState> {
  for (let i = 0; i < input.jobs.length; i++) {
    const stage = state.stage[i];
    if (stage === OFF) continue;
    if (stage === SETTING || stage === FIRST_COAT) {
      const mayWait = options.mayBeLate === true || (options.relaxed && stage === SETTING);
      if (!mayWait && nextStart(state, input, i) > (state.dueS[i] as number)) continue;
      yield step(state, input, i);
    } else if (canLay(state, input, i)) {
      const next = step(state, input, i);
      if (options.relaxed || options.mayBeLate || makesDeadlines(next, input)) yield next;
    }
  }
}

function insert(level: Map<string, Entry[]>, entry: Entry, relaxed: boolean): void {
  const key = keyOf(entry.state);
  const list = level.get(key);
  if (!list) {
    level.set(key, [entry]);
    return;
  }
  if (list.some((e) => dominates(e.state, entry.state, relaxed))) return;
  level.set(key, [...list.filter((e) => !dominates(entry.state, e.state, relaxed)), entry]);
}

/** Searches for an end earlier than `beatS`. */
export function searchSchedule(input: HandsInput, options: SearchOptions): SearchResult {
  const tables: BoundTables = boundTables(input.jobs);
  let level: readonly Entry[] = [{ state: options.from ?? emptyTable(input.jobs.length), bound: 0 }];
  let best: TableState | null = null;
  let beatS = options.beatS;
  let labels = 0;
  while (level.length > 0) {
    const next = new Map<string, Entry[]>();
    for (const { state, bound } of level) {
      if (bound >= beatS) continue;
      for (const after of successors(state, input, options)) {
        labels++;
        if (after.stage.every((s) => s === OFF)) {
          const cost = options.relaxed ? after.nowS : costOf(after);
          // a relaxed end with a late pull still lets an equal one without through: times are whole seconds
          if (cost < beatS) [best, beatS] = [after, options.relaxed && after.lateS > 0 ? cost + 1 : cost];
          continue;
        }
        const afterBound = remainingBound(after, input, tables) + (options.relaxed ? 0 : 10 * after.lateS);
        if (afterBound < beatS) insert(next, { state: after, bound: afterBound }, options.relaxed);
      }
      if (labels > options.maxLabels) return { outcome: 'gave-up', best, labels };
    }
    const all = [...next.values()].flat();
    level = options.width === undefined || all.length <= options.width ? all : narrowed(all, options.width);
  }
  return { outcome: 'finished', best, labels };
}

/** The most promising states of a level: lowest bound, then earliest. */
function narrowed(all: readonly Entry[], width: number): readonly Entry[] {
  return [...all].sort((a, b) => a.bound - b.bound || a.state.nowS - b.state.nowS).slice(0, width);
}

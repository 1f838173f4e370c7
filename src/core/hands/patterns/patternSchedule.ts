// The order that a hand remembers: every order of the list is scheduled as well as it can be, and the simplest that
// ends hardly later than the best of them is taken.

import { scheduleInOrder } from '../fixedOrder';
import { type TableState } from '../state';
import type { HandsInput } from '../types';
import { PATTERN_WORDS, patternOrders, PATTERNS, type PatternName } from './orders';
import type { Place } from './places';

/** An end may be later than the best pattern's by the larger of these before a less simple one is taken. */
const LATER_SHARE = 0.03;
const LATER_S = 10;

/** How the sides of a pair are combined: one wholly before the other, or strip by strip in turns. */
export type SidesBy = 'one-then-other' | 'turns' | 'two-and-two';

/** One sheet: its strips as indices of the task's jobs, in the order of its own numbers. */
export interface PatternSheet {
  readonly jobs: readonly number[];
  readonly places: readonly Place[];
}

export interface Patterned {
  readonly name: PatternName;
  /** The order as a sentence at the table. */
  readonly said: string;
  readonly sides: SidesBy | null;
  readonly order: readonly number[];
  readonly end: TableState;
}

interface Candidate {
  readonly name: PatternName;
  readonly sides: SidesBy | null;
  readonly order: readonly number[];
}

/** So many of one side, then as many of the other, in turn. */
const inBlocks = (a: readonly number[], b: readonly number[], size: number): readonly number[] =>
  Array.from({ length: Math.ceil(a.length / size) }, (_, k) => [
    ...a.slice(k * size, (k + 1) * size),
    ...b.slice(k * size, (k + 1) * size),
  ]).flat();

/** Orders of one sheet, or of a pair laid alike: the same order of numbers on both. */
function candidates(input: HandsInput, sheets: readonly PatternSheet[], name: PatternName): readonly Candidate[] {
  const [first, second] = sheets;
  if (!first) return [];
  const own = new Map(first.jobs.map((job, k) => [job, k]));
  const strips = first.jobs.map((job, k) => ({
    place: first.places[k] ?? { at: [0, 0] as const, pull: [0, -1] as const, lengthCm: 1 },
    needs: (input.jobs[job]?.needs ?? []).flatMap((n) => own.get(n) ?? []),
  }));
  const orders = patternOrders(strips, [name]);
  if (!second) return orders.map(({ order }) => ({ name, sides: null, order: order.map((k) => first.jobs[k] ?? 0) }));
  return orders.flatMap(({ order }): readonly Candidate[] => {
    const [a, b] = [first, second].map((s) => order.map((k) => s.jobs[k] ?? 0));
    if (!a || !b) return [];
    return [
      { name, sides: 'one-then-other', order: [...a, ...b] },
      { name, sides: 'turns', order: a.flatMap((job, k) => [job, b[k] ?? 0]) },
      { name, sides: 'two-and-two', order: inBlocks(a, b, 2) },
    ];
  });
}

/**
 * The pattern for one sheet, or for two that are the same in the mirror (strip for strip, in the same numbers). Null
 * where no order of the list can be worked in time.
 */
export function patternSchedule(input: HandsInput, sheets: readonly PatternSheet[]): Patterned | null {
  const best = new Map<PatternName, Patterned>();
  for (const name of PATTERNS) {
    for (const c of candidates(input, sheets, name)) {
      const end = scheduleInOrder(input, c.order, best.get(name)?.end.nowS);
      if (end) best.set(name, { ...c, said: PATTERN_WORDS[name], end });
    }
  }
  const earliest = Math.min(...[...best.values()].map((p) => p.end.nowS));
  const latest = Math.max(earliest * (1 + LATER_SHARE), earliest + LATER_S);
  return [...best.values()].find((p) => p.end.nowS <= latest) ?? null;
}

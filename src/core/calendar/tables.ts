// Treatment tables: no more visits at one time than tables, and which visit lies on which. Sorted by their start, spans
// of which no more than n meet at any time always find a free one of n tables (interval graphs are perfect: Golumbic,
// Algorithmic Graph Theory and Perfect Graphs, 1980, chapter 8, from memory).

import type { DaySpan } from './hours';

export interface OnTable extends DaySpan {
  readonly personId: string;
}

/** Spans of time in which so many spans meet at least; in the order of time, none touching the next. */
export function fullSpans(spans: readonly DaySpan[], tables: number): readonly DaySpan[] {
  const steps = spans
    .flatMap(({ fromMin, toMin }) => [
      { atMin: fromMin, by: 1 },
      { atMin: toMin, by: -1 },
    ])
    // one that ends frees its table for one that begins
    .sort((a, b) => a.atMin - b.atMin || a.by - b.by);
  const full: DaySpan[] = [];
  let count = 0;
  let from: number | null = null;
  for (const { atMin, by } of steps) {
    count += by;
    if (count >= tables && from === null) from = atMin;
    if (count < tables && from !== null) {
      if (atMin > from) full.push({ fromMin: from, toMin: atMin });
      from = null;
    }
  }
  return full.reduce<DaySpan[]>((joined, s) => {
    const last = joined.at(-1);
    return last?.toMin === s.fromMin
      ? [...joined.slice(0, -1), { fromMin: last.fromMin, toMin: s.toMin }]
      : [...joined, s];
  }, []);
}

/**
 * Which table each visit of a day lies on, by its place in the list: a practitioner stays where they were last as far
 * as that is free. Null where there are more visits at one time than tables.
 */
export function tablesOf(visits: readonly OnTable[], tables: number): readonly (number | null)[] {
  const taken: (number | null)[] = visits.map(() => null);
  const lastOf = new Map<string, number>();
  const order = visits.map((_, i) => i).sort((a, b) => fromOf(visits, a) - fromOf(visits, b) || a - b);
  for (const i of order) {
    const visit = visits[i];
    if (!visit) continue;
    const busy = new Set(
      visits.flatMap((o, k) => (k !== i && o.fromMin <= visit.fromMin && visit.fromMin < o.toMin ? [taken[k]] : [])),
    );
    const free = Array.from({ length: tables }, (_, t) => t).filter((t) => !busy.has(t));
    const own = lastOf.get(visit.personId);
    // a table that a colleague is used to is left to her where another is free
    const others = new Set([...lastOf].flatMap(([id, t]) => (id === visit.personId ? [] : [t])));
    const table = free.find((t) => t === own) ?? free.find((t) => !others.has(t)) ?? free[0];
    if (table === undefined) continue;
    taken[i] = table;
    lastOf.set(visit.personId, table);
  }
  return taken;
}

const fromOf = (visits: readonly OnTable[], i: number): number => visits[i]?.fromMin ?? 0;

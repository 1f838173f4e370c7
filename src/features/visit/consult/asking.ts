// Which questions stand open, which could still turn the verdict, and what one may say of those that were answered no
// before.

import { ASKED_EACH_TIME, ASKED_ONCE, type Fact, type NextQuestion } from '@/core/screening';
import type { Bench } from '@/server/services/bench';
import { askNext } from './consultAnswer';

export const EVERY_QUESTION: readonly Fact[] = [...ASKED_EACH_TIME, ...ASKED_ONCE];

export interface Asking {
  /**
   * Must be answered one by one: nobody has ever asked them, the answer last time was yes, or the client was not sure.
   */
  readonly must: readonly NextQuestion[];
  /** Answered no last time, and a yes today would put off or rule out something. */
  readonly again: readonly NextQuestion[];
  /** Answered no today. */
  readonly noToday: readonly Fact[];
  /** Answered no last time, not asked today, and not among those that could turn the verdict. */
  readonly before: readonly Fact[];
  /** Neither asked nor of any weight today. */
  readonly idle: readonly Fact[];
}

export function askingOf(bench: Bench): Asking {
  const { facts, asked, unsure } = bench.visit.consult;
  const found = new Set(facts.map((f) => f.fact));
  const today = new Set(asked);
  const earlier = new Set(bench.client.saidNoBefore?.facts ?? []);
  const next = askNext(bench);
  const isUnsure = (q: NextQuestion): number => Number(unsure.includes(q.fact));
  const isMust = (q: NextQuestion): boolean => isUnsure(q) === 1 || !earlier.has(q.fact);
  const must = next.filter(isMust).sort((a, b) => isUnsure(b) - isUnsure(a));
  const again = next.filter((q) => !isMust(q) && q.stops > 0);
  const open = new Set([...must, ...again].map((q) => q.fact));
  const rest = EVERY_QUESTION.filter((f) => !found.has(f) && !open.has(f));
  // what is asked once counts as asked from the visit on at which it was
  const isOfBefore = (f: Fact): boolean => earlier.has(f) && (!today.has(f) || ASKED_ONCE.includes(f));
  return {
    must,
    again,
    noToday: rest.filter((f) => today.has(f) && !isOfBefore(f)),
    before: rest.filter(isOfBefore),
    idle: rest.filter((f) => !today.has(f) && !earlier.has(f)),
  };
}

/** What counts as asked once it was said that nothing else has changed: today's answers and the noes of last time. */
export const askedAfter = (bench: Bench): readonly Fact[] => [
  ...new Set([...bench.visit.consult.asked, ...(bench.client.saidNoBefore?.facts ?? [])]),
];

// Which questions stand open, which could still turn the verdict, and what one may say of those that were asked before.

import { ASKED_EACH_TIME, ASKED_ONCE, type Fact, type NextQuestion } from '@/core/screening';
import type { Bench } from '@/server/services/bench';
import { askNext } from './consultAnswer';

export const EVERY_QUESTION: readonly Fact[] = [...ASKED_EACH_TIME, ...ASKED_ONCE];

export interface Asking {
  /** Not answered today, and a yes would put off or rule out something: what the client was unsure of first. */
  readonly turning: readonly NextQuestion[];
  /** Never asked of this client, and a yes would only ask for care. */
  readonly never: readonly NextQuestion[];
  /** Answered no today. */
  readonly noToday: readonly Fact[];
  /** Asked last time and not found, not answered today, and not among those that could turn the verdict. */
  readonly before: readonly Fact[];
  /** Neither asked nor of any weight today. */
  readonly idle: readonly Fact[];
}

export function askingOf(bench: Bench): Asking {
  const { facts, asked, unsure } = bench.visit.consult;
  const found = new Set(facts.map((f) => f.fact));
  const today = new Set(asked);
  const earlier = new Set(bench.client.askedBefore?.asked ?? []);
  const next = askNext(bench);
  const isUnsure = (q: NextQuestion): number => Number(unsure.includes(q.fact));
  const turning = next.filter((q) => q.stops > 0 || isUnsure(q) === 1).sort((a, b) => isUnsure(b) - isUnsure(a));
  const never = next.filter((q) => !turning.includes(q) && !earlier.has(q.fact));
  const shown = new Set([...turning, ...never].map((q) => q.fact));
  const rest = EVERY_QUESTION.filter((f) => !found.has(f) && !shown.has(f));
  return {
    turning,
    never,
    noToday: rest.filter((f) => today.has(f) && !(ASKED_ONCE.includes(f) && earlier.has(f))),
    before: rest.filter((f) => earlier.has(f) && (!today.has(f) || ASKED_ONCE.includes(f))),
    idle: rest.filter((f) => !today.has(f) && !earlier.has(f)),
  };
}

/** Questions that must be answered one by one before anyone may say that all is asked: nobody has ever asked them. */
export const mustAsk = (bench: Bench, { turning, never }: Asking): readonly NextQuestion[] => {
  const earlier = bench.client.askedBefore?.asked ?? [];
  const { unsure } = bench.visit.consult;
  return [...turning.filter((q) => !earlier.includes(q.fact) || unsure.includes(q.fact)), ...never];
};

/** What counts as asked once it was said that nothing else has changed: today's answers and last time's questions. */
export const askedAfter = (bench: Bench): readonly Fact[] => [
  ...new Set([...bench.visit.consult.asked, ...(bench.client.askedBefore?.asked ?? [])]),
];

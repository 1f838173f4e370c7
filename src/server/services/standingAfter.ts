import 'server-only';
import { STAYS_ON_CARD, type FoundFact } from '../../core/screening';
import { addDays } from '../../core/shared';
import type { CardFact } from '../db/schema';

/**
 * Lasting facts of the card after a visit. What was known keeps its beginning, what is new begins now. After a visit
 * that was done, what is no longer said ends and stays in the record; after one that was put off nothing ends: what has
 * been heard is only added.
 */
export function standingAfter(
  known: readonly CardFact[],
  facts: readonly FoundFact[],
  on: string,
  visit: 'done' | 'not-done',
): readonly CardFact[] {
  const told = facts.filter((f) => STAYS_ON_CARD.includes(f.fact));
  const unsaid = known.filter((k) => k.until === undefined && !told.some((f) => f.fact === k.fact));
  return [
    ...told.map((f) => ({ ...f, since: known.find((k) => k.fact === f.fact && k.until === undefined)?.since ?? on })),
    ...known.filter((k) => k.until !== undefined),
    ...(visit === 'done' ? unsaid.map((k) => ({ ...k, until: addDays(on, -1) })) : unsaid),
  ];
}

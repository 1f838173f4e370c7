// What was agreed for a zone, and how a change of it is written: the two sides are agreed together.

import { zoneKey, type Side, type ZoneId } from '@/core/anatomy';
import { usualOutcome } from '@/core/outcomes';
import type { Agreed } from '@/server/db/schema';

interface Place {
  readonly zone: ZoneId;
  readonly side: Side;
}

export const choiceOf = (agreed: Agreed, at: Place): string =>
  agreed.howMuch.find((h) => zoneKey(h) === zoneKey(at))?.choice ?? usualOutcome(at.zone);

/** One asks about brows, not about each brow. */
export const withChoice = (agreed: Agreed, zones: readonly Place[], zone: ZoneId, choice: string): Agreed => ({
  ...agreed,
  howMuch: zones.map((z) => ({ zone: z.zone, side: z.side, choice: z.zone === zone ? choice : choiceOf(agreed, z) })),
});

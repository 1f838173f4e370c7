// What was agreed for a zone, and how a change of it is written: the two sides are agreed together.

import { howMuchFor, offeredChoice } from '@/core/agreement';
import { zoneKey, type Side, type ZoneId } from '@/core/anatomy';
import { usualOutcome } from '@/core/outcomes';
import type { Agreed } from '@/server/db/schema';

interface Place {
  readonly zone: ZoneId;
  readonly side: Side;
}

export const choiceOf = (agreed: Agreed, at: Place): string =>
  offeredChoice(at.zone, agreed.howMuch.find((h) => zoneKey(h) === zoneKey(at))?.choice) ?? usualOutcome(at.zone);

/** Its border fades, or ends as the first of the other choices has it. */
export const fading = (agreed: Agreed, zones: readonly Place[], zone: ZoneId, fades: boolean): Agreed =>
  withChoice(agreed, zones, zone, fades ? 'fade' : (howMuchFor(zone).find((c) => c.id !== 'fade')?.id ?? 'all'));

/** One asks about brows, not about each brow; nothing is written of zones that nobody spoke of. */
export const withChoice = (agreed: Agreed, zones: readonly Place[], zone: ZoneId, choice: string): Agreed => ({
  ...agreed,
  howMuch: [
    ...agreed.howMuch.filter((h) => h.zone !== zone),
    ...zones.filter((z) => z.zone === zone).map((z) => ({ zone: z.zone, side: z.side, choice })),
  ],
});

import { sized } from '@/formats/size';
import type { PlanHeat } from '@/core/plan';

/** When it may be pulled; of two coats that are only tried it is worked out once they are taken. */
export function Ready({
  sets,
  fromS,
  toS,
  unknown,
}: {
  readonly sets: boolean;
  readonly fromS: number;
  readonly toS: number;
  readonly unknown: boolean;
}) {
  if (!sets) return ', and comes off at once';
  if (unknown) return '; when it may be pulled is worked out once you take it';
  return (
    <>
      , ready after about <strong>{fromS} s</strong>, before <strong>{toS} s</strong>
    </>
  );
}

/** How two coats are laid. */
export const coatWords = ({ coats, restMaxS }: PlanHeat): string =>
  `Two coats of about ${sized(coats[0]?.thicknessMm ?? 0, 'mm')}: the second 8–${restMaxS ?? ''} s after the first, counted from the second.`;

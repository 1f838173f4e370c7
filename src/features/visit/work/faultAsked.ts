// What the table knows when somebody looks for a fault.

import { bringsWax, type StripMark, type TableEvent } from '@/core/hands';
import type { PlanZone } from '@/core/plan';
import type { Product } from '@/core/products';
import type { FaultAsked } from '@/core/reading';

export function faultAsked(
  zone: PlanZone | undefined,
  counted: readonly TableEvent[],
  lastMark: StripMark | null,
  products: readonly Product[],
): FaultAsked {
  const last = counted.findLast((e) => bringsWax(e) || e.kind === 'pulled' || e.kind === 'mark');
  const product = products.find((p) => p.id === zone?.choice?.product);
  const isPull = last?.kind === 'pulled' || last?.kind === 'mark';
  const laid = last ? ('lay' as const) : null;
  return {
    family: zone?.choice?.family ?? 'hard',
    // a mark of a strip before says nothing of the one that was laid since
    lastMark: isPull ? lastMark : null,
    justDone: isPull ? 'pull' : laid,
    isOneCoatFilm: product?.body === 'film' && zone?.choice?.coats === 1,
    zone: zone?.zone ?? null,
  };
}

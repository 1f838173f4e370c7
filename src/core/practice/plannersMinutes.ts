// How long the planner takes for the whole of a practised zone with what the learner chose, lay and pull.

import { planVisit } from '../plan';
import type { Product } from '../products';
import type { Scene } from './types';

/** A day to plan on: what is practised knows no clock. */
const PLANNED_ON = '2027-03-15';

/** Minutes to the last pull of the zone; null where this product is not laid here. About a tenth of a second. */
export function plannersMinutes(
  { zone, side, hair, sensitivity, skin, roomC, keep }: Scene,
  product: Product,
): number | null {
  const { lengthMm, coarseness, density, curl, history } = hair;
  const planned = planVisit(
    {
      ...{ version: 1, on: PLANNED_ON },
      client: { consent: true, sensitivity, skin, knownProducts: [product.id] },
      studio: { roomC, products: [product.id] },
      zones: [
        {
          ...{ zone, side, product: product.id },
          hair: { lengthMm, coarseness, density, curl, history },
          keep: keep?.map((outline) => ({ outline })),
        },
      ],
    },
    { catalogue: [product] },
  );
  if (!planned.ok) return null;
  const { endS } = planned.value.schedule;
  return endS > 0 ? endS / 60 : null;
}

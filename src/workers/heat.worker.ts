// Heat beside the page: the table that the thickness slider reads, and the fit of a product to what is seen.

import {
  fitProduct,
  heatTable,
  workingWindow,
  solveSkinHeat,
  type FittedProduct,
  type HeatNeed,
  type HeatTable,
  type SeenProduct,
} from '../core/heat';
import { ZONES } from '../core/anatomy';
import type { Product } from '../core/products';
import type { Result } from '../core/shared';

export type HeatQuestion =
  | { readonly kind: 'table'; readonly need: HeatNeed }
  | { readonly kind: 'fit'; readonly template: Product; readonly seen: SeenProduct; readonly roomC: number };

/**
 * What a fitted product does on a usual underarm (sensitivity 3), so that the practitioner can tell whether it is the
 * one in the pot.
 */
export interface FitTrial {
  readonly minC: number;
  readonly maxC: number;
  readonly empty: boolean;
  readonly setAfterS: number | null;
}

export type HeatAnswer =
  | { readonly kind: 'table'; readonly table: HeatTable }
  | { readonly kind: 'fit'; readonly fit: Result<FittedProduct>; readonly trial: FitTrial | null };

function trialOf(product: Product, roomC: number): FitTrial | null {
  const [entry] = Object.entries(product.manners);
  const name = entry?.[0];
  const manner = entry?.[1];
  if (!manner || (name !== 'tab' && name !== 'cloth' && name !== 'hand')) return null;
  const { skin } = ZONES.underarm;
  const w = workingWindow({ product, manner, mannerName: name, skin, sensitivity: 3, roomC });
  const heat = solveSkinHeat({ product, touchC: w.targetC, thicknessMm: w.thicknessMm, skin, roomC, endS: 180 });
  return { minC: w.minC, maxC: w.maxC, empty: w.empty, setAfterS: product.setting ? heat.setAfterS : null };
}

self.onmessage = ({ data }: MessageEvent<HeatQuestion>): void => {
  if (data.kind === 'table') {
    self.postMessage({ kind: 'table', table: heatTable(data.need) } satisfies HeatAnswer);
    return;
  }
  const fit = fitProduct(data.template, data.seen);
  self.postMessage({
    kind: 'fit',
    fit,
    trial: fit.ok ? trialOf(fit.value.product, data.roomC) : null,
  } satisfies HeatAnswer);
};

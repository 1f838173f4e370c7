// What a visit uses up, from its strips: grams with waste, sticks (one per dip), cloths, gloves, cleanser, oil, powder,
// gauze. Shares and amounts per cm² from memory; prices in integer minor units, never floating money.

import type { MannerName, Product } from '../products';

/** Product that stays on stick, pot rim and cloth, as a share of what lies on the skin. */
const WASTE: Readonly<Record<MannerName, number>> = { tab: 0.12, cloth: 0.15, hand: 0.25 };
/** The rim and tab are thicker than the slab. */
const RIM_FACTOR: Readonly<Record<MannerName, number>> = { tab: 1.12, cloth: 1, hand: 1 };
/** Largest load on one stick, g. */
const LOAD_G: Readonly<Record<MannerName, number>> = { tab: 12, cloth: 8, hand: 60 };

export interface StripUse {
  readonly product: Product;
  readonly manner: MannerName;
  readonly areaCm2: number;
  readonly thicknessMm: number;
  readonly coats: number;
  /** Ground of all passes as a multiple of this one; absent: one pass. */
  readonly ground?: number;
}

/** Product lying on the skin for one strip, g. */
export const massOnSkinG = (use: StripUse): number =>
  use.areaCm2 * (use.thicknessMm / 10) * (use.product.densityKgM3 / 1000) * RIM_FACTOR[use.manner];

/** Product taken for one strip, waste included, g. Hand paste serves several strokes before it goes into the bin. */
export const massUsedG = (use: StripUse): number =>
  massOnSkinG(use) * (use.manner === 'hand' ? 0.35 : 1) * (1 + WASTE[use.manner]);

/** Dips into the pot for one strip: a stick each. */
export const dipsFor = (use: StripUse): number =>
  use.manner === 'hand' ? 0 : Math.max(use.coats, Math.ceil(massOnSkinG(use) / LOAD_G[use.manner]));

export interface MaterialLine {
  readonly item: string;
  readonly amount: number;
  readonly unit: 'g' | 'piece' | 'ml' | 'pair';
  readonly costMinor: number;
}

/** Shop prices of small items, minor units per piece, pair, ml or g (from memory). */
const SMALL_PRICE = { stick: 4, cloth: 5, gloves: 18, cleanser: 1, oil: 2, powder: 1, gauze: 2 } as const;

const line = (item: keyof typeof SMALL_PRICE, amount: number, unit: MaterialLine['unit']): MaterialLine => ({
  item,
  amount,
  unit,
  costMinor: Math.ceil(amount) * SMALL_PRICE[item],
});

/** Product cost in minor units, rounded up to the whole unit. */
export const productCostMinor = (grams: number, priceMinorPerKg: number): number =>
  Math.ceil((Math.ceil(grams * 10) * priceMinorPerKg) / 10_000);

export interface UseInput {
  readonly strips: readonly StripUse[];
  /** Hair area of all zones worked, cm². */
  readonly areaCm2: number;
  readonly prep: 'powder' | 'oil' | 'dry';
  /** Thin sugar reuses its cloth until built up, soft takes a free part or a fresh one. */
  readonly clothReuse: number;
}

/** The tray of a visit, counted. Empty where nothing is laid. */
export function materialsFor({ strips, areaCm2, prep, clothReuse }: UseInput): readonly MaterialLine[] {
  if (strips.length === 0) return [];
  const grams = new Map<string, { product: Product; grams: number }>();
  for (const s of strips) {
    grams.set(s.product.id, {
      product: s.product,
      grams: (grams.get(s.product.id)?.grams ?? 0) + (s.ground ?? 1) * massUsedG(s),
    });
  }
  const products = [...grams.values()].map(({ product, grams: g }): MaterialLine => ({
    item: product.id,
    amount: Math.ceil(g * 10) / 10,
    unit: 'g',
    costMinor: productCostMinor(g, product.priceMinorPerKg),
  }));
  const dips = Math.ceil(strips.reduce((n, s) => n + (s.ground ?? 1) * dipsFor(s), 0) - 1e-9);
  const cloths = Math.ceil(strips.filter((s) => s.manner === 'cloth').length / clothReuse);
  const productCount = grams.size;
  return [
    ...products,
    ...(dips > 0 ? [line('stick', dips, 'piece')] : []),
    ...(cloths > 0 ? [line('cloth', cloths, 'piece')] : []),
    line('gloves', productCount, 'pair'),
    line('cleanser', Math.ceil(2 + areaCm2 / 80), 'ml'),
    ...(prep === 'powder' ? [line('powder', Math.ceil(1 + areaCm2 / 150), 'g')] : []),
    line('oil', Math.ceil((prep === 'oil' ? 2 : 1) + areaCm2 / 120), 'ml'),
    line('gauze', Math.ceil(1 + areaCm2 / 200), 'piece'),
  ];
}

export const totalMinor = (lines: readonly MaterialLine[]): number => lines.reduce((s, l) => s + l.costMinor, 0);

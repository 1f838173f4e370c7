// A product is data: what its label says and what its model needs. SI units unless the name says otherwise.

import type { Family } from '../anatomy';

export const PRODUCT_BODIES = ['film', 'cream', 'strip-wax', 'soft-paste', 'firm-paste', 'hard-paste'] as const;
export type ProductBody = (typeof PRODUCT_BODIES)[number];
export const PRODUCT_FORMS = ['beads', 'tablet', 'block', 'can', 'tub'] as const;
export type ProductForm = (typeof PRODUCT_FORMS)[number];
export const ALLERGENS = ['rosin', 'honey', 'fragrance', 'zinc-oxide'] as const;
export type Allergen = (typeof ALLERGENS)[number];

/** Ways of laying and pulling; what each means: trade words, see lay.ts. */
export type Way = 'with' | 'against' | 'free' | 'crossed' | 'counter' | 'across' | 'moulded' | 'strip';

export interface Range {
  readonly min: number;
  readonly max: number;
}

/** How the product is used in one manner: by its own tab, by strip, by hand. */
export interface Manner {
  /** Label working range at touch, °C. */
  readonly labelC: Range;
  /** Viscosity band in which it works, Pa·s. */
  readonly flowPaS: Range;
  readonly thicknessMm: Range & { readonly usual: number; readonly tender?: number };
  readonly shortestMm: number;
  readonly longestMm: number;
  /** Wait before the pull where the model does not set it, s. */
  readonly waitS: Range;
  /** Grip on the skin, 0–1. */
  readonly adhesion: number;
}

export interface Product {
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  readonly body: ProductBody;
  readonly form: ProductForm;
  readonly allergens: readonly Allergen[];
  readonly conductivityWmK: number;
  readonly densityKgM3: number;
  readonly heatCapacityJkgK: number;
  /** Setting: latent heat, midpoint and width of a normal curve of temperature; null = it does not set. */
  readonly setting: {
    readonly latentJkg: number;
    readonly midC: number;
    readonly widthK: number;
    readonly brittleC: number;
  } | null;
  /** Two points of the viscosity law: [Pa·s, °C]. */
  readonly viscosity: readonly [readonly [number, number], readonly [number, number]];
  /** Hold on the hair, 0–1. */
  readonly grip: number;
  readonly passes: { readonly usual: number; readonly max: number };
  readonly priceMinorPerKg: number;
  readonly packKg: number;
  readonly shelfMonths: number;
  /** Used with its own tab (hard), under cloth (soft, sugar) or moulded by hand (sugar). */
  readonly manners: { readonly tab?: Manner; readonly cloth?: Manner; readonly hand?: Manner };
}

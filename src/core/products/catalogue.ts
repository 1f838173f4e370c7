// The shipped catalogue: six invented products with generic names, one for every family and body.
// All values from memory: plausible, and known to work together. The label of the product in the hand always comes
// first.

import type { Manner, Product } from './types';

const WAIT_FROM_MODEL = { min: 0, max: 180 };

const hardTab = (manner: Pick<Manner, 'labelC' | 'flowPaS' | 'thicknessMm' | 'shortestMm' | 'adhesion'>): Manner => ({
  ...manner,
  longestMm: 13,
  waitS: WAIT_FROM_MODEL,
});

const SUGAR_THERMAL = { conductivityWmK: 0.35, densityKgM3: 1400, heatCapacityJkgK: 2300, setting: null } as const;
const SUGAR_SHOP = {
  family: 'sugar',
  form: 'tub',
  allergens: [],
  passes: { usual: 3, max: 3 },
  priceMinorPerKg: 1400,
  packKg: 1,
  shelfMonths: 3,
} as const;
const sugarHand = (labelC: { min: number; max: number }): Manner => ({
  labelC,
  flowPaS: { min: 300, max: 3000 },
  thicknessMm: { min: 1, usual: 2, max: 3 },
  shortestMm: 1.6,
  longestMm: 13,
  waitS: { min: 0, max: 5 },
  adhesion: 0.15,
});
const SUGAR_CLOTH: Manner = {
  labelC: { min: 40, max: 54 },
  flowPaS: { min: 5, max: 40 },
  thicknessMm: { min: 0.5, usual: 0.5, max: 0.5 },
  shortestMm: 3,
  longestMm: 13,
  waitS: { min: 0, max: 10 },
  adhesion: 0.15,
};

export const SHIPPED_PRODUCTS: readonly Product[] = [
  {
    id: 'film-hard',
    name: 'Film hard wax, beads',
    family: 'hard',
    body: 'film',
    form: 'beads',
    allergens: [],
    conductivityWmK: 0.22,
    densityKgM3: 980,
    heatCapacityJkgK: 2100,
    setting: { latentJkg: 25_000, midC: 51, widthK: 4, brittleC: 39.5 },
    viscosity: [
      [15, 52],
      [3, 62],
    ],
    grip: 0.85,
    passes: { usual: 2, max: 3 },
    priceMinorPerKg: 2400,
    packKg: 1,
    shelfMonths: 24,
    manners: {
      tab: hardTab({
        labelC: { min: 50, max: 64 },
        flowPaS: { min: 3, max: 15 },
        thicknessMm: { min: 1.5, usual: 2, max: 3 },
        shortestMm: 4,
        adhesion: 0.25,
      }),
    },
  },
  {
    id: 'cream-hard',
    name: 'Cream hard wax, tablets',
    family: 'hard',
    body: 'cream',
    form: 'tablet',
    allergens: ['rosin', 'fragrance'],
    conductivityWmK: 0.26,
    densityKgM3: 1080,
    heatCapacityJkgK: 1850,
    setting: { latentJkg: 25_000, midC: 51, widthK: 2.5, brittleC: 41.5 },
    viscosity: [
      [15, 52],
      [3, 60],
    ],
    grip: 0.95,
    passes: { usual: 2, max: 3 },
    priceMinorPerKg: 2000,
    packKg: 1,
    shelfMonths: 24,
    manners: {
      tab: hardTab({
        labelC: { min: 50, max: 60 },
        flowPaS: { min: 3, max: 15 },
        thicknessMm: { min: 1.5, usual: 2.5, max: 3.5, tender: 2 },
        shortestMm: 5,
        adhesion: 0.3,
      }),
    },
  },
  {
    id: 'soft',
    name: 'Soft strip wax, can',
    family: 'soft',
    body: 'strip-wax',
    form: 'can',
    allergens: ['rosin', 'honey'],
    conductivityWmK: 0.2,
    densityKgM3: 1020,
    heatCapacityJkgK: 1900,
    setting: null,
    viscosity: [
      [4, 42],
      [1, 54],
    ],
    grip: 0.8,
    passes: { usual: 1, max: 1 },
    priceMinorPerKg: 1100,
    packKg: 0.8,
    shelfMonths: 24,
    manners: {
      cloth: {
        labelC: { min: 40, max: 54 },
        flowPaS: { min: 1, max: 4 },
        thicknessMm: { min: 0.2, usual: 0.4, max: 0.6 },
        shortestMm: 6,
        longestMm: 13,
        waitS: { min: 0, max: 10 },
        adhesion: 0.9,
      },
    },
  },
  {
    ...SUGAR_SHOP,
    ...SUGAR_THERMAL,
    id: 'sugar-soft',
    name: 'Soft sugar paste, tub',
    body: 'soft-paste',
    viscosity: [
      [180, 38],
      [40, 48],
    ],
    grip: 0.7,
    manners: { hand: sugarHand({ min: 33, max: 36 }), cloth: SUGAR_CLOTH },
  },
  {
    ...SUGAR_SHOP,
    ...SUGAR_THERMAL,
    id: 'sugar-firm',
    name: 'Firm sugar paste, tub',
    body: 'firm-paste',
    viscosity: [
      [900, 38],
      [200, 48],
    ],
    grip: 0.75,
    manners: { hand: sugarHand({ min: 34, max: 42 }), cloth: SUGAR_CLOTH },
  },
  {
    ...SUGAR_SHOP,
    ...SUGAR_THERMAL,
    id: 'sugar-hard',
    name: 'Hard sugar paste, tub',
    body: 'hard-paste',
    viscosity: [
      [3500, 38],
      [778, 48],
    ],
    grip: 0.8,
    manners: { hand: sugarHand({ min: 38, max: 46 }) },
  },
];

export const SHIPPED_PRODUCT_IDS: readonly string[] = SHIPPED_PRODUCTS.map((p) => p.id);

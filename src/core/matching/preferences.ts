// What a house would rather use, by name. Strict ones leave other products only where nothing else holds; bounded ones
// may cost a little over the cheapest, and beyond that they yield and say so. None is a hidden bonus: each is a switch
// of the studio, and the plan names the one that decided.

import type { Hair } from '../hair';
import type { Family, ZoneId } from '../anatomy';
import type { Way } from '../products';
import type { Option } from './types';

export interface Preferences {
  readonly coarseHard: boolean;
  readonly fineSoft: boolean;
  readonly reactiveMild: boolean;
  readonly ingrownSugar: boolean;
  readonly worked: boolean;
  readonly plainLay: boolean;
  /** What the house reaches for first where both would do. */
  readonly first: 'wax' | 'sugar' | 'none';
  /** A product that the house reaches for on a zone, by its id. */
  readonly favourites: { readonly [Z in ZoneId]?: string | undefined };
}

export const SHIPPED_PREFERENCES: Preferences = {
  coarseHard: true,
  fineSoft: true,
  reactiveMild: true,
  ingrownSugar: true,
  worked: true,
  plainLay: true,
  first: 'wax',
  favourites: {},
};

export const FIRST_CHOICES = ['wax', 'sugar', 'none'] as const;

/** What was used on this zone last time and was good by the reading and by what the client felt. */
export interface Worked {
  readonly product: string;
  readonly way?: Way | undefined;
}

/** What the preferences look at. */
export interface Preferring {
  readonly zone: ZoneId;
  readonly hair: Pick<Hair, 'coarseness'>;
  readonly sensitivity: number;
  readonly ingrownProne: boolean;
  readonly hairAreaCm2: number;
  readonly worked?: Worked | undefined;
  /** Flat, crossing, in layers or in tight curls: the crossed lay is needed whatever its length. */
  readonly standsAcross: boolean;
  readonly preferences: Preferences;
}

export type StrictCode = 'reactive.never-soft' | 'reactive.hard-or-sugar' | 'ingrown.not-soft';
export type BoundedCode =
  'client.worked' | 'ingrown.sugar' | 'coarse.hard' | 'fine-large.soft' | 'house.favourite' | 'house.first';
export type PreferenceCode = BoundedCode | 'plain.lay';

type Of = Pick<Option, 'family' | 'way'> & { readonly product: { readonly id: string } };

/** Strict preferences that speak against an option; the screening's own exclusions come before. */
export function strictAgainst(family: Family, p: Preferring): readonly StrictCode[] {
  if (family !== 'soft') return [];
  const { reactiveMild, ingrownSugar } = p.preferences;
  return [
    // very reactive skin: no switch of the house loosens this one
    ...(p.sensitivity >= 5 ? (['reactive.never-soft'] as const) : []),
    ...(reactiveMild && p.sensitivity === 4 ? (['reactive.hard-or-sugar'] as const) : []),
    ...(ingrownSugar && p.ingrownProne ? (['ingrown.not-soft'] as const) : []),
  ];
}

const COARSE_FROM = 4;
const FINE_TO = 2;
const LARGE_CM2 = 150;
const CALM_BELOW = 4;

interface Bounded {
  readonly code: BoundedCode;
  readonly speaks: (p: Preferring) => boolean;
  readonly holds: (o: Of, p: Preferring) => boolean;
}

/** In the order in which they are asked: what this client is used to, then the hair, then the house. */
const BOUNDED: readonly Bounded[] = [
  {
    code: 'client.worked',
    speaks: (p) => p.preferences.worked && p.worked !== undefined,
    holds: (o, { worked }) =>
      worked !== undefined && o.product.id === worked.product && (worked.way === undefined || o.way === worked.way),
  },
  {
    code: 'ingrown.sugar',
    speaks: (p) => p.preferences.ingrownSugar && p.ingrownProne,
    holds: (o) => o.family === 'sugar',
  },
  {
    code: 'coarse.hard',
    speaks: (p) => p.preferences.coarseHard && p.hair.coarseness >= COARSE_FROM,
    holds: (o) => o.family === 'hard',
  },
  {
    code: 'fine-large.soft',
    speaks: (p) =>
      p.preferences.fineSoft &&
      p.hair.coarseness <= FINE_TO &&
      p.hairAreaCm2 >= LARGE_CM2 &&
      p.sensitivity < CALM_BELOW,
    holds: (o) => o.family === 'soft',
  },
  {
    code: 'house.favourite',
    speaks: (p) => p.preferences.favourites[p.zone] !== undefined,
    holds: (o, p) => o.product.id === p.preferences.favourites[p.zone],
  },
  {
    code: 'house.first',
    speaks: (p) => p.preferences.first !== 'none',
    holds: (o, { preferences }) => (preferences.first === 'sugar') === (o.family === 'sugar'),
  },
];

/** The crossed lay waits where hard wax holds as well in the plain one: it presses, and asks more of skin and hand. */
export const isCrossedInVain = (way: Way, plainHolds: boolean, p: Preferring): boolean =>
  way === 'crossed' && plainHolds && p.preferences.plainLay && !p.standsAcross;

/** Bounded preferences that speak in this case, in order. */
export const speaking = (p: Preferring): readonly Bounded[] => BOUNDED.filter((b) => b.speaks(p));

/** Bounded preferences that speak for an option. */
export const preferredBy = (o: Of, p: Preferring): readonly BoundedCode[] =>
  speaking(p)
    .filter((b) => b.holds(o, p))
    .map((b) => b.code);

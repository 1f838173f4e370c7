// Ways of laying and pulling: which manner of the product they use, and lay and pull as turned from the growth.
// Lay and pull come from growth + product + way, never from a fixed order. Common practice, no source.

import type { Family } from '../anatomy';
import { rotate, scale, type Vec } from '../shared';
import type { Manner, Product, Way } from './types';

export type MannerName = 'tab' | 'cloth' | 'hand';

interface WayFacts {
  readonly manner: MannerName;
  /** Lay turned from the growth by this many degrees; pull likewise. */
  readonly layDeg: number;
  readonly pullDeg: number;
  /** Only for what a first pass left. */
  readonly laterOnly: boolean;
}

const FACTS: Readonly<Record<Way, Omit<WayFacts, 'manner'>>> = {
  with: { layDeg: 0, pullDeg: 180, laterOnly: false },
  against: { layDeg: 180, pullDeg: 0, laterOnly: false },
  // Planned with the growth; the turn in the other direction is the round after it.
  free: { layDeg: 0, pullDeg: 180, laterOnly: false },
  // First against with firm pressure, then the same wax drawn back with the growth; the first stroke is given as the
  // lay.
  crossed: { layDeg: 180, pullDeg: 180, laterOnly: false },
  counter: { layDeg: 180, pullDeg: 0, laterOnly: true },
  across: { layDeg: 90, pullDeg: 270, laterOnly: true },
  moulded: { layDeg: 180, pullDeg: 0, laterOnly: false },
  strip: { layDeg: 0, pullDeg: 180, laterOnly: false },
};

const WAYS: Readonly<Record<Family, readonly Way[]>> = {
  hard: ['with', 'against', 'free', 'crossed', 'counter', 'across'],
  soft: ['with'],
  sugar: ['moulded', 'strip'],
};

const MANNER: Readonly<Record<Family, (way: Way) => MannerName>> = {
  hard: () => 'tab',
  soft: () => 'cloth',
  sugar: (way) => (way === 'moulded' ? 'hand' : 'cloth'),
};

/** Strips of these ways lie on the same ground: only lay and pull are turned round. */
const CUT_AS: Readonly<Partial<Record<Way, Way>>> = {
  against: 'with',
  free: 'with',
  counter: 'with',
  moulded: 'strip',
};
/** The way whose strips lie where those of this one do. */
export const cutAs = (way: Way): Way => CUT_AS[way] ?? way;
/** The way that is laid and pulled exactly as this one. */
export const laidAs = (way: Way): Way => {
  const { layDeg, pullDeg } = FACTS[way];
  const cut = FACTS[cutAs(way)];
  return cut.layDeg === layDeg && cut.pullDeg === pullDeg ? cutAs(way) : way;
};

export const isLaterOnly = (way: Way): boolean => FACTS[way].laterOnly;
export const mannerName = (family: Family, way: Way): MannerName => MANNER[family](way);

/** The ways in which this product can be worked at all. */
export function waysOf(product: Product): readonly Way[] {
  return WAYS[product.family].filter((way) => product.manners[MANNER[product.family](way)] !== undefined);
}

/** The manner behind a way, or undefined where the product has none. */
export const mannerOf = (product: Product, way: Way): Manner | undefined =>
  WAYS[product.family].includes(way) ? product.manners[mannerName(product.family, way)] : undefined;

/** True where the label of one of the manners allows a coat of this thickness, mm. */
export const allowsThickness = (manners: Product['manners'], thicknessMm: number): boolean =>
  Object.values(manners).some((m) => thicknessMm >= m.thicknessMm.min && thicknessMm <= m.thicknessMm.max);

/** Directions of laying and pulling for hair that points along the unit vector `growth`. */
export function layAndPull(way: Way, growth: Vec): { readonly lay: Vec; readonly pull: Vec } {
  // exact where nothing need be computed
  const turned = (deg: number): Vec => {
    if (deg === 0) return growth;
    return deg === 180 ? scale(growth, -1) : rotate(growth, deg);
  };
  return { lay: turned(FACTS[way].layDeg), pull: turned(FACTS[way].pullDeg) };
}

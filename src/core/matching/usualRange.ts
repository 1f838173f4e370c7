// One limit of length for a zone and family: what the studio's shortest-hair product holds when it is worked in the
// house's way. Chart, regrowth and return all speak of this one.

import type { Family, Zone } from '../anatomy';
import { mannerOf, type Product, type Way } from '../products';
import { lengthRange, sugarWayFor } from './eligibility';
import type { Schools } from './types';

/** The way in which a family is worked on a zone by the house rules. */
export function usualWay(family: Family, zone: Zone, schools: Pick<Schools, 'hardLay' | 'sugarWay'>): Way {
  if (family === 'soft') return 'with';
  if (family === 'hard') return schools.hardLay;
  return sugarWayFor(zone, schools) === 'hand' ? 'moulded' : 'strip';
}

/** Lengths in mm; null where the studio has no such product, or the family is never used there. */
export function usualRange(
  family: Family,
  zone: Zone,
  products: readonly Product[],
  schools: Pick<Schools, 'hardLay' | 'sugarWay'>,
): { readonly shortestMm: number; readonly longestMm: number } | null {
  if (!zone.families.includes(family)) return null;
  const way = usualWay(family, zone, schools);
  const ranges = products
    .filter((p) => p.family === family)
    .flatMap((p) => {
      const manner = mannerOf(p, way);
      return manner ? [lengthRange(manner, zone, way)] : [];
    });
  return [...ranges].sort((a, b) => a.shortestMm - b.shortestMm)[0] ?? null;
}

// From which length each of the studio's families holds hair on a zone: the limit that Match and Return speak of too.

import type { Family, Zone } from '@/core/anatomy';
import { usualRange } from '@/core/matching';
import { studioFacts } from '@/core/plan';
import type { Bench } from '@/server/services/bench';

export interface FamilyLimit {
  readonly family: Family;
  readonly shortestMm: number;
}

export function familyLimits(
  { studio, products }: Pick<Bench, 'studio' | 'products'>,
  zone: Zone,
): readonly FamilyLimit[] {
  const house = studioFacts({ schools: studio.settings.schools }, products);
  return house.schools.families.flatMap((family) => {
    const range = usualRange(family, zone, house.products, house.schools);
    return range ? [{ family, shortestMm: range.shortestMm }] : [];
  });
}

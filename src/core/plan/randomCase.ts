// Seeded visit cases as practice has them, one zone each: for the study of the choice, in tests and in docs/choice.md.

import { sidesOf, ZONE_IDS, ZONES, type ZoneId } from '../anatomy';
import type { Random } from '../shared';
import type { StudioCase, VisitCase } from './visitCase';

const pick = <T>(random: Random, list: readonly T[]): T => list[random.whole(0, list.length - 1)] as T; // never empty

/** A zone with hair as it comes to the table: mostly long enough, of every coarseness and skin. */
export function randomCase(random: Random, studio: StudioCase, zone: ZoneId = pick(random, ZONE_IDS)): VisitCase {
  const lengthMm = Math.round(10 * (3 + 9 * random.next())) / 10;
  return {
    version: 1,
    on: '2027-05-14',
    client: {
      consent: true,
      sensitivity: random.whole(1, 5),
      ingrownProne: random.next() < 0.25,
      skin: pick(random, ['dry', 'normal', 'oily'] as const),
    },
    studio: {
      roomC: random.whole(19, 26),
      level: pick(random, ['trainee', 'practised', 'expert'] as const),
      ...studio,
    },
    zones: [
      {
        zone,
        side: sidesOf(ZONES[zone])[0] ?? 'middle',
        hair: {
          lengthMm,
          coarseness: random.whole(1, 5),
          density: random.whole(1, 5),
          curl: random.whole(1, 4),
          history: pick(random, ['regular', 'regular', 'regular', 'lapsed'] as const),
        },
      },
    ],
  };
}

/** One zone of a calm client with hair of a length and a coarseness, the rest as usual. */
export const plainCase = (zone: ZoneId, lengthMm: number, coarseness: number): VisitCase => ({
  version: 1,
  on: '2027-05-14',
  client: { consent: true },
  zones: [{ zone, side: sidesOf(ZONES[zone])[0] ?? 'middle', hair: { lengthMm, coarseness, density: 3 } }],
});

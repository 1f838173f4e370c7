// Where a fact is judged beyond the zones that it names: naming one zone never frees its neighbour.

import { zoneKey, type Side, type ZoneId } from '../anatomy';
import type { FoundFact, Rule } from './types';

export const ARM_ZONES: readonly ZoneId[] = ['underarm', 'upper-arm', 'forearm', 'hand'];
/** The leg with its groin: lymph nodes and deep veins of both lie there. */
export const LEG_ZONES: readonly ZoneId[] = [
  'thigh-front',
  'thigh-back',
  'knee',
  'lower-leg-front',
  'lower-leg-back',
  'foot',
  'bikini-edge',
  'bikini-extended',
  'front-complete',
];
export const MOUTH_ZONES: readonly ZoneId[] = ['upper-lip', 'chin', 'nose-rim'];

/** What lies beside what on the face (from memory). */
const BESIDE: Readonly<Partial<Record<ZoneId, readonly ZoneId[]>>> = {
  brow: ['between-brows', 'cheek-sideburn'],
  'between-brows': ['brow', 'nose-rim'],
  'nose-rim': ['upper-lip', 'between-brows', 'cheek-sideburn'],
  'upper-lip': ['nose-rim', 'chin', 'cheek-sideburn'],
  chin: ['upper-lip', 'jaw-throat', 'cheek-sideburn'],
  'jaw-throat': ['chin', 'cheek-sideburn', 'nape'],
  'cheek-sideburn': ['ear', 'brow', 'jaw-throat', 'chin', 'upper-lip', 'nose-rim'],
  ear: ['cheek-sideburn', 'nape'],
};

interface Place {
  readonly zone: ZoneId;
  readonly side: Side;
}

/** A zone named without a side stands for both, one on the middle line lies beside both. */
const sidesMeet = (named: string | undefined, side: Side): boolean =>
  named === undefined || named === 'middle' || side === 'middle' || named === side;

const limbOf = (zone: string): readonly ZoneId[] | undefined =>
  [ARM_ZONES, LEG_ZONES].find((limb) => limb.some((z) => z === zone));

const REACHES: Readonly<Record<NonNullable<Rule['reach']>, (named: string, zone: Place) => boolean>> = {
  all: () => true,
  limb: (named, { zone, side }) => {
    const [id = '', namedSide] = named.split('/');
    const limb = limbOf(id);
    // named where no limb is: which one is concerned is not known, so each is
    return limb === undefined || (limb.includes(zone) && sidesMeet(namedSide, side));
  },
  beside: (named, { zone, side }) => {
    const [id = '', namedSide] = named.split('/');
    return (BESIDE[id as ZoneId] ?? []).includes(zone) && sidesMeet(namedSide, side);
  },
};

export const isNamed = ({ zones = [] }: FoundFact, zone: Place): boolean =>
  zones.length === 0 || zones.includes(zone.zone) || zones.includes(zoneKey(zone));

/** True where a rule about the fact holds for a zone; a fact that names no zone concerns the whole body. */
export function reachesZone(
  { reach, onlyZones }: Pick<Rule, 'reach' | 'onlyZones'>,
  fact: FoundFact,
  zone: Place,
): boolean {
  const isOfRule = !onlyZones || onlyZones.includes(zone.zone);
  const named = fact.zones ?? [];
  if (named.length === 0) return isOfRule;
  if (reach === undefined) return isOfRule && isNamed(fact, zone);
  return isNamed(fact, zone) || (isOfRule && named.some((n) => REACHES[reach](n, zone)));
}

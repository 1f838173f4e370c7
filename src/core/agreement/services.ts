// Services and bundles: named lists of zones that are booked together. The shipped ones say what is removed, not a menu
// name.

import { ZONES, sidesOf, type Side, type ZoneId, zoneKey } from '../anatomy';

export interface ServiceZone {
  readonly zone: ZoneId;
  readonly side: Side;
}

export interface Service {
  readonly id: string;
  readonly name: string;
  /** What comes off, in one sentence. */
  readonly says: string;
  readonly zones: readonly ServiceZone[];
}

const both = (...zones: readonly ZoneId[]): readonly ServiceZone[] =>
  zones.flatMap((zone) => sidesOf(ZONES[zone]).map((side) => ({ zone, side })));

export const SHIPPED_SERVICES: readonly Service[] = [
  { id: 'underarms', name: 'Underarms', says: 'Both underarms.', zones: both('underarm') },
  { id: 'shins', name: 'Shins', says: 'The front of both lower legs.', zones: both('lower-leg-front') },
  { id: 'lip', name: 'Upper lip', says: 'Between nose and lip, corner to corner.', zones: both('upper-lip') },
  {
    id: 'leg-lower',
    name: 'Lower leg',
    says: 'From the toes to just above the knee, both legs.',
    zones: both('lower-leg-front', 'lower-leg-back', 'knee', 'foot'),
  },
  {
    id: 'leg-upper',
    name: 'Upper leg',
    says: 'From the knee to the hip, both legs.',
    zones: both('knee', 'thigh-front', 'thigh-back'),
  },
  {
    id: 'leg-full',
    name: 'Full leg',
    says: 'From the toes to the hip, both legs.',
    zones: both('lower-leg-front', 'lower-leg-back', 'knee', 'foot', 'thigh-front', 'thigh-back'),
  },
  { id: 'brows', name: 'Brows', says: 'Both brows and the gap between them.', zones: both('between-brows', 'brow') },
  { id: 'face-lower', name: 'Lip and chin', says: 'Upper lip and chin.', zones: both('upper-lip', 'chin') },
  {
    id: 'beard-line',
    name: 'Cheeks, jaw and throat',
    says: 'Cheeks with sideburns, chin, jaw and throat.',
    zones: both('cheek-sideburn', 'chin', 'jaw-throat'),
  },
  {
    id: 'ears-nose',
    name: 'Ears and rim of the nose',
    says: 'Rims and flaps of the ears, rim of the nose.',
    zones: both('ear', 'nose-rim'),
  },
  {
    id: 'arms',
    name: 'Forearms',
    says: 'Elbow to wrist, hands and fingers, both arms.',
    zones: both('forearm', 'hand'),
  },
  {
    id: 'back-whole',
    name: 'Whole back',
    says: 'Lower and upper back, shoulders fading out.',
    zones: both('lower-back', 'upper-back', 'shoulder'),
  },
  {
    id: 'chest-abdomen',
    name: 'Chest and abdomen',
    says: 'From the collar bones to the waistband.',
    zones: both('abdomen', 'chest'),
  },
  { id: 'bikini-edge', name: 'Bikini edge', says: 'What shows outside underwear.', zones: both('bikini-edge') },
  {
    id: 'bikini-extended',
    name: 'Bikini extended',
    says: 'What shows outside a thong.',
    zones: both('bikini-extended'),
  },
  {
    id: 'bikini-complete',
    name: 'Front complete',
    says: 'Everything at the front.',
    zones: both('bikini-extended', 'front-complete'),
  },
  {
    id: 'bikini-crease',
    name: 'Complete with crease',
    says: 'Everything at the front, and the buttock crease.',
    zones: both('bikini-extended', 'front-complete', 'buttock-crease'),
  },
];

/** Zones of several services, each once, in the order in which the services name them. */
export function zonesOf(services: readonly Pick<Service, 'zones'>[]): readonly ServiceZone[] {
  return [...new Map(services.flatMap((s) => s.zones).map((z) => [zoneKey(z), z])).values()];
}

/** Services whose zones are all among the given ones; one that lies wholly inside another found one is left out. */
export function servicesIn(services: readonly Service[], zones: readonly ServiceZone[]): readonly Service[] {
  const there = new Set(zones.map(zoneKey));
  const whole = services.filter((s) => s.zones.length > 0 && s.zones.every((z) => there.has(zoneKey(z))));
  return whole.filter(
    (s) =>
      !whole.some(
        (o) =>
          o !== s &&
          o.zones.length > s.zones.length &&
          s.zones.every((z) => o.zones.some((k) => zoneKey(k) === zoneKey(z))),
      ),
  );
}

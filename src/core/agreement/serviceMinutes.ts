// How long a service is booked while nothing is known of the client's own visits. Minutes with preparing and cleaning
// up, of somebody who was here before, with a practised hand; from memory.

import { ZONES } from '../anatomy';
import type { Service } from './services';

const SHIPPED: Readonly<Record<string, number>> = {
  underarms: 20,
  shins: 30,
  lip: 15,
  'leg-lower': 45,
  'leg-upper': 45,
  'leg-full': 75,
  brows: 25,
  'face-lower': 20,
  'beard-line': 30,
  'ears-nose': 20,
  arms: 35,
  'back-whole': 50,
  'chest-abdomen': 50,
  'bikini-edge': 25,
  'bikini-extended': 35,
  'bikini-complete': 45,
  'bikini-crease': 55,
};
/** Preparing and cleaning up, once for all that is done at one visit. */
const SHARED_MIN = 10;
/** The talk of a first visit. */
export const FIRST_VISIT_MIN = 10;
const ZONE_MIN = { face: 5, body: 8 } as const;
const STEP_MIN = 5;

/** Of a service that the studio made itself: by its zones. */
function byZones({ zones }: Pick<Service, 'zones'>): number {
  const minutes = zones.reduce((sum, { zone }) => sum + (ZONES[zone].face ? ZONE_MIN.face : ZONE_MIN.body), SHARED_MIN);
  return Math.ceil(minutes / STEP_MIN) * STEP_MIN;
}

/** @param own what the studio itself has entered, by service */
export const minutesOfService = (
  service: Pick<Service, 'id' | 'zones'>,
  own: Readonly<Record<string, number>> = {},
): number => own[service.id] ?? SHIPPED[service.id] ?? byZones(service);

/** Several services at one visit: preparing and cleaning up count once. 0 where there are none. */
export function minutesOfServices(
  services: readonly Pick<Service, 'id' | 'zones'>[],
  own: Readonly<Record<string, number>> = {},
): number {
  const each = services.map((s) => minutesOfService(s, own));
  const longest = Math.max(0, ...each);
  return Math.max(longest, each.reduce((a, b) => a + b, 0) - SHARED_MIN * Math.max(0, each.length - 1));
}

// Directions in the words used at the table: from a vector on the sheet to a place on the body.

import type { Side, ZoneId } from '@/core/anatomy';
import type { Vec } from '@/core/shared';

type Words = Readonly<Record<'up' | 'down' | 'outward' | 'inward', string>>;

const DEFAULT: Words = { up: 'upwards', down: 'downwards', outward: 'outwards', inward: 'inwards' };
const PLACES: Readonly<Partial<Record<ZoneId, Words>>> = {
  underarm: {
    up: 'towards the elbow',
    down: 'towards the waist',
    outward: 'towards the back',
    inward: 'towards the chest',
  },
  'lower-leg-front': {
    up: 'towards the knee',
    down: 'towards the foot',
    outward: 'to the outer side',
    inward: 'to the inner side',
  },
  'upper-lip': {
    up: 'towards the nose',
    down: 'towards the mouth',
    outward: 'towards the left corner',
    inward: 'towards the right corner',
  },
};

/** `towards the elbow`. The left sheet's outer side is to the right; the right sheet is its mirror. */
export function towards(zone: ZoneId, side: Side, [dx, dy]: Vec): string {
  const words = PLACES[zone] ?? DEFAULT;
  const outward = side === 'right' ? -dx : dx;
  const lengthwise = dy < 0 ? words.up : words.down;
  const sideways = outward > 0 ? words.outward : words.inward;
  const upright = Math.abs(dy) > 0.42 ? lengthwise : '';
  const across = Math.abs(dx) > 0.42 ? sideways : '';
  return upright !== '' && across !== '' ? `${upright} and ${across.replace('towards ', '')}` : upright || across;
}

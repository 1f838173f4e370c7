// What lies beyond each border of a zone's sheet, in one or two words: so that nobody wonders which end is which.

import type { Side, ZoneId } from '@/core/anatomy';

export interface EdgeWords {
  readonly up: string;
  readonly down: string;
  readonly left: string;
  readonly right: string;
}

type Paired = readonly [up: string, down: string, outward: string, inward: string];

const LIMB = ['outer side', 'inner side'] as const;
const PAIRED: Readonly<Partial<Record<ZoneId, Paired>>> = {
  brow: ['forehead', 'lid', 'temple', 'nose'],
  'cheek-sideburn': ['temple', 'jaw', 'ear', 'nose'],
  ear: ['crown', 'lobe', 'back of the head', 'cheek'],
  underarm: ['elbow', 'waist', 'back', 'chest'],
  forearm: ['elbow', 'wrist', ...LIMB],
  'upper-arm': ['shoulder', 'elbow', ...LIMB],
  hand: ['wrist', 'fingers', 'little finger', 'thumb'],
  shoulder: ['neck', 'arm', 'front', 'back'],
  'thigh-front': ['groin', 'knee', ...LIMB],
  'thigh-back': ['buttock', 'hollow of the knee', ...LIMB],
  knee: ['thigh', 'shin', ...LIMB],
  'lower-leg-front': ['knee', 'foot', ...LIMB],
  'lower-leg-back': ['hollow of the knee', 'heel', ...LIMB],
  foot: ['ankle', 'toes', ...LIMB],
  'bikini-edge': ['hip', 'crotch', 'thigh', 'middle'],
  'bikini-extended': ['hip', 'crotch', 'thigh', 'middle'],
};
/** Seen from the front the client's right is at the left. */
const FRONT = ['client’s right', 'client’s left'] as const;
const BACK = ['client’s left', 'client’s right'] as const;
const MIDDLE: Readonly<Partial<Record<ZoneId, readonly [string, string, string, string]>>> = {
  'between-brows': ['forehead', 'nose', ...FRONT],
  'upper-lip': ['nose', 'mouth', ...FRONT],
  chin: ['mouth', 'throat', ...FRONT],
  'jaw-throat': ['chin', 'collar', ...FRONT],
  'nose-rim': ['nose', 'lip', ...FRONT],
  nape: ['hairline', 'collar', ...BACK],
  'upper-back': ['neck', 'waist', ...BACK],
  'lower-back': ['shoulder blades', 'buttocks', ...BACK],
  chest: ['collar', 'belly', ...FRONT],
  abdomen: ['ribs', 'groin', ...FRONT],
  'front-complete': ['belly', 'crotch', ...FRONT],
  'buttock-crease': ['lower back', 'crotch', ...BACK],
};

/** The left sheet's outer side is to the right; the right sheet is its mirror. */
export function edgeWords(zone: ZoneId, side: Side): EdgeWords {
  const middle = MIDDLE[zone];
  if (middle) return { up: middle[0], down: middle[1], left: middle[2], right: middle[3] };
  const [up, down, outward, inward] = PAIRED[zone] ?? ['up', 'down', ...LIMB];
  return side === 'right' ? { up, down, left: outward, right: inward } : { up, down, left: inward, right: outward };
}

/** The words of a sheet that lies along the table: its top to the left, its right up. */
export const edgesAlong = ({ up, down, left, right }: EdgeWords): EdgeWords => ({
  left: up,
  right: down,
  up: right,
  down: left,
});

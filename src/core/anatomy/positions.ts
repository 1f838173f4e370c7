// How the client lies for a zone, and the pose within that: what can be worked together without turning over. The first
// position named is the usual one (common practice, no source).

import type { Side, ZoneId } from './types';

export const POSITIONS = ['face-up', 'side', 'face-down', 'seated'] as const;
export type Position = (typeof POSITIONS)[number];

export const POSITION_NAMES: Readonly<Record<Position, string>> = {
  'face-up': 'face up',
  side: 'on the side',
  'face-down': 'face down',
  seated: 'seated',
};

/** A pose of the client within a position; `each` where either side has its own. */
interface Pose {
  readonly words: string;
  readonly each: boolean;
}

interface Lies {
  /** Usual first. */
  readonly positions: readonly Position[];
  readonly pose: Pose | null;
}

const lies = (positions: readonly Position[], words?: string, each = false): Lies => ({
  positions,
  pose: words === undefined ? null : { words, each },
});
const UP: readonly Position[] = ['face-up'];
const DOWN: readonly Position[] = ['face-down'];

const LIES: Readonly<Record<ZoneId, Lies>> = {
  brow: lies(UP),
  'between-brows': lies(UP),
  'upper-lip': lies(UP),
  chin: lies(UP),
  'jaw-throat': lies(UP),
  'cheek-sideburn': lies(UP),
  'nose-rim': lies(UP),
  ear: lies(UP, 'head turned away', true),
  nape: lies(['face-down', 'seated']),
  underarm: lies(UP, 'arm up and propped'),
  'upper-arm': lies(['face-up', 'seated']),
  forearm: lies(['face-up', 'seated']),
  hand: lies(['face-up', 'seated']),
  shoulder: lies(['face-down', 'seated']),
  'upper-back': lies(DOWN),
  'lower-back': lies(DOWN),
  chest: lies(UP),
  abdomen: lies(UP),
  'thigh-front': lies(UP),
  'thigh-back': lies(DOWN),
  knee: lies(UP, 'knee bent'),
  'lower-leg-front': lies(UP),
  'lower-leg-back': lies(DOWN),
  foot: lies(UP),
  'bikini-edge': lies(UP, 'knee out', true),
  'bikini-extended': lies(UP, 'knee out', true),
  'front-complete': lies(UP, 'knees out'),
  'buttock-crease': lies(['face-down', 'side']),
};

/** Region by region, as a practised hand goes through a position (common practice, no source). */
const IN_TURN: readonly ZoneId[] = [
  'lower-leg-front',
  'knee',
  'foot',
  'thigh-front',
  'bikini-edge',
  'bikini-extended',
  'front-complete',
  'abdomen',
  'chest',
  'underarm',
  'upper-arm',
  'forearm',
  'hand',
  'between-brows',
  'brow',
  'upper-lip',
  'chin',
  'jaw-throat',
  'cheek-sideburn',
  'nose-rim',
  'ear',
  'lower-leg-back',
  'thigh-back',
  'buttock-crease',
  'lower-back',
  'upper-back',
  'shoulder',
  'nape',
];

/** Positions in which a zone can be worked, the usual one first. */
export const positionsOf = (zone: ZoneId): readonly Position[] => LIES[zone].positions;

/** Where a zone comes in the usual course through a position, from 0. */
export const turnOf = (zone: ZoneId): number => IN_TURN.indexOf(zone);

/** The pose in words; null where the client just lies or sits. */
export const poseWords = (zone: ZoneId): string | null => LIES[zone].pose?.words ?? null;

/** One key a pose: the same on both sides where both can be held at once. */
export function poseKey(zone: ZoneId, side: Side): string | null {
  const { pose } = LIES[zone];
  if (!pose) return null;
  return pose.each ? `${pose.words}/${side}` : pose.words;
}

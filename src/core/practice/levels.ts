// What is practised on, from easy to hard, and the pieces with something amiss. Hair and skin are usual ones of the
// zone (from memory); the seed makes each arm another one.

import { ZONES, type Side, type ZoneId } from '../anatomy';
import type { Hair } from '../hair';
import { keepOf } from '../outcomes';
import { seededRandom, type Vec } from '../shared';
import type { Scene } from './types';

export const LEVELS = ['first-steps', 'leg', 'underarm', 'lip', 'brow', 'back'] as const;
export type Level = (typeof LEVELS)[number];
export const PIECES = [
  ...(['plain', 'short', 'dry', 'turned', 'crossing', 'starts', 'hot-pot'] as const),
  'late-start',
] as const;
/** Something amiss that the learner is not told before she finds it. */
export type Piece = (typeof PIECES)[number];

export interface LevelFacts {
  readonly name: string;
  readonly zone: ZoneId;
  readonly side: Side;
  readonly hair: Pick<Hair, 'lengthMm' | 'coarseness' | 'density' | 'curl'>;
}

export const LEVEL_FACTS: Readonly<Record<Level, LevelFacts>> = {
  'first-steps': {
    ...{ name: 'First steps', zone: 'forearm', side: 'left' },
    hair: { lengthMm: 9, coarseness: 3, density: 1, curl: 1 },
  },
  leg: {
    ...{ name: 'Shin', zone: 'lower-leg-front', side: 'left' },
    hair: { lengthMm: 7, coarseness: 3, density: 2, curl: 1 },
  },
  underarm: {
    ...{ name: 'Underarm', zone: 'underarm', side: 'left' },
    hair: { lengthMm: 8, coarseness: 4, density: 4, curl: 2 },
  },
  lip: {
    ...{ name: 'Lip', zone: 'upper-lip', side: 'middle' },
    hair: { lengthMm: 5, coarseness: 2, density: 3, curl: 1 },
  },
  brow: {
    ...{ name: 'Brow', zone: 'brow', side: 'left' },
    hair: { lengthMm: 6, coarseness: 3, density: 3, curl: 1 },
  },
  back: {
    ...{ name: 'Back', zone: 'upper-back', side: 'middle' },
    hair: { lengthMm: 12, coarseness: 4, density: 1, curl: 2 },
  },
};

export interface PracticePiece {
  readonly scene: Scene;
  /** How much warmer the pot is than it says, K: only the wrist finds out. */
  readonly potOffK: number;
}

/** Working minutes that a piece leaves, null where there is no hurry. */
export const minutesFor = (level: Level, piece: Piece): number | null =>
  piece === 'late-start' ? LATE_MIN[level] : null;

/** What is left of a visit that began late: less than the planner takes for all of it. */
const LATE_MIN: Readonly<Record<Level, number>> = {
  ...{ 'first-steps': 4, leg: 4, underarm: 2, lip: 1, brow: 2.5, back: 5 },
};
/** Two layers that cross (from memory). */
const CROSSING = { share: 0.35, turnDeg: 75 } as const;

/** Of a brow a clean lower edge is agreed; elsewhere everything goes. */
function keepFor(zone: ZoneId, side: Side): Pick<Scene, 'keep'> {
  if (zone !== 'brow') return {};
  const [widthCm, heightCm] = ZONES[zone].sheetCm;
  return { keep: keepOf(zone, side, 'tidy', { widthCm, heightCm }) };
}

/** A new arm, leg or back of a level: growth turned a little, hair a little longer or shorter. */
export function practicePiece(level: Level, piece: Piece, seed: number): PracticePiece {
  const { zone, side, hair } = LEVEL_FACTS[level];
  const random = seededRandom(seed);
  const longer = random.between(0.9, 1.15);
  const usualOffK = random.between(-1.5, 1.5);
  const [w, h] = ZONES[zone].sheetCm;
  // on the one half it grows across the rest
  const across: readonly { readonly at: Vec; readonly towards: Vec }[] = [0.25, 0.5, 0.75].map((v) => ({
    at: [0.2 * w, v * h],
    towards: [1, random.between(-0.4, 0.2)],
  }));
  return {
    scene: {
      ...(piece === 'turned' ? { strokes: across } : {}),
      ...(piece === 'crossing' ? { crossing: CROSSING } : {}),
      ...(piece === 'starts' ? { starts: true } : {}),
      ...keepFor(zone, side),
      ...{ seed, zone, side, roomC: 22, sensitivity: random.whole(1, 3) },
      skin: piece === 'dry' ? 'dry' : 'normal',
      hair: {
        ...{ ...hair, history: 'regular', past: [] },
        lengthMm: Math.round(10 * hair.lengthMm * longer * (piece === 'short' ? 0.45 : 1)) / 10,
      },
    },
    potOffK: piece === 'hot-pot' ? 6 : usualOffK,
  };
}

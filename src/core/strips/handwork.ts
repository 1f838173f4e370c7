// How the hands take a strip off where one pull in one go is not how it is done: short tugs over the knee and along a
// long bikini strip, three short pulls near the eye, two halves of a thick underarm strip, the ball of the ear. Common
// practice, no source; lengths of a tug from memory.

import type { Family, ZoneId } from '../anatomy';

export interface Handwork {
  /** Pulls that one strip is taken off in, ≥ 1. */
  readonly pulls: number;
  /** Fine hair breaks in a quick pull. */
  readonly pace: 'quick' | 'steady';
  /** What the hand does, as a sentence for the table; null where it is one usual pull. */
  readonly note: string | null;
}

export interface HandworkInput {
  readonly zone: ZoneId;
  readonly family: Family;
  /** Extent along the pull, cm. */
  readonly lengthCm: number;
  readonly coarseness: number;
  /** A dab of a border that is thinned out. */
  readonly dab?: boolean | undefined;
}

const ONE = { pulls: 1, note: null } as const;
/** Length of one tug, cm. */
const KNEE_TUG_CM = 4;
const BIKINI_TUG_CM = 3;
/** From this length on a bikini strip is taken in tugs, cm. */
const LONG_BIKINI_CM = 6;
/** A thick underarm strip on coarse hair is halved from this length on, cm. */
const HALVED_FROM_CM = 5;
const COARSE_FROM = 4;
const FINE_UP_TO = 2;
const BIKINI: readonly ZoneId[] = ['bikini-edge', 'bikini-extended', 'front-complete'];
/** Strips of the ear shorter than this are the ball at the tragus, cm; longer ones follow the rim. */
const EAR_BALL_CM = 1.6;

const KNEE_WORDS: Readonly<Record<Family, string>> = {
  hard: 'Pressed deep, peeled piecemeal',
  soft: 'Over the knee in short tugs',
  sugar: 'Over the knee in short flicks',
};

const DAB_WORDS: Readonly<Record<Family, string>> = {
  hard: 'A dab to thin the border out: grip it by the stick bedded in it; the hair round it stays.',
  soft: 'A dab under a small cloth to thin the border out; the hair round it stays.',
  sugar: 'A small flick of paste to thin the border out; the hair round it stays.',
};

const tugs = (lengthCm: number, tugCm: number): number => Math.max(1, Math.ceil(lengthCm / tugCm - 0.05));

export function handworkOf(input: HandworkInput): Handwork {
  const fine = input.coarseness <= FINE_UP_TO && input.family !== 'sugar';
  return { pace: fine ? 'steady' : 'quick', ...pullsOf(input, fine) };
}

function pullsOf(
  { zone, family, lengthCm, coarseness, dab = false }: HandworkInput,
  fine: boolean,
): Omit<Handwork, 'pace'> {
  if (dab) return { pulls: 1, note: DAB_WORDS[family] };
  if (zone === 'knee') {
    const pulls = tugs(lengthCm, KNEE_TUG_CM);
    return {
      pulls,
      note: `Knee bent. ${KNEE_WORDS[family]}: ${pulls}.`,
    };
  }
  if (zone === 'brow') {
    return {
      pulls: 3,
      note: `Eyes closed. Three short pulls, not one${family === 'hard' ? '' : '; a clean strip each time'}.`,
    };
  }
  if (zone === 'upper-lip') {
    return { pulls: 1, note: 'Two-way stretch: the client draws the lip over the teeth. Clear of the nostrils.' };
  }
  if (zone === 'ear') {
    return lengthCm < EAR_BALL_CM
      ? {
          pulls: 1,
          note: 'A ball over and under the tragus, never into the canal; its stick stays as the handle. Until fully cold, ear braced, no half pull.',
        }
      : { pulls: 1, note: 'Peel along the rim. Brace the ear at its base; no half pull.' };
  }
  if (BIKINI.includes(zone) && lengthCm > LONG_BIKINI_CM) {
    const pulls = tugs(lengthCm, BIKINI_TUG_CM);
    return { pulls, note: `A row of ${pulls} brief flat tugs, not one long pull.` };
  }
  if (zone === 'underarm' && family === 'hard' && coarseness >= COARSE_FROM && lengthCm > HALVED_FROM_CM) {
    return { pulls: 2, note: 'In two halves with a breath between.' };
  }
  if (fine) return { pulls: 1, note: 'A little slower: fine hair breaks.' };
  return ONE;
}

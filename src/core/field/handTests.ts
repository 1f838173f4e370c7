// The way of growth by the two tests of the hand (common practice, no source): brushing the fingers over the skin, the
// way with the most resistance is against the growth; spreading a trace of product, the hairs rise where it goes
// against the growth.

import { angleBetweenDeg, unit, type Vec } from '../shared';
import { MOST_CROSSING } from './crossing';
import type { Stroke } from './growthField';

export const COMPASS = ['up', 'up-right', 'right', 'down-right', 'down', 'down-left', 'left', 'up-left'] as const;
export type Compass = (typeof COMPASS)[number];

const D = Math.SQRT1_2;
const WAY: Readonly<Record<Compass, Vec>> = {
  up: [0, -1],
  'up-right': [D, -D],
  right: [1, 0],
  'down-right': [D, D],
  down: [0, 1],
  'down-left': [-D, D],
  left: [-1, 0],
  'up-left': [-D, -D],
};

/** Answers further apart than this do not tell one way: the hair may cross, or a test was misread. */
const AGREE_DEG = 60;

export interface HandTest {
  /** Place on the sheet, cm. */
  readonly at: Vec;
  /** The way in which the fingers met most resistance. */
  readonly resists: Compass;
  /** The way of spreading at which the hairs rose; null = not tried or not seen. */
  readonly rises: Compass | null;
}

export interface HandTestResult {
  /**
   * One stroke where the tests agree; where they do not, that of the fingers and half the hairs crossing it as the
   * trace said.
   */
  readonly strokes: readonly Stroke[];
  readonly agree: boolean;
}

const opposite = ([x, y]: Vec): Vec => [x === 0 ? 0 : -x, y === 0 ? 0 : -y];

/** Strokes of growth from one place tested. The growth is opposite to both answers; agreeing ones are averaged. */
export function strokesFromHandTest({ at, resists, rises }: HandTest): HandTestResult {
  const byFinger = opposite(WAY[resists]);
  if (rises === null) return { strokes: [{ at, towards: byFinger }], agree: true };
  const byTrace = opposite(WAY[rises]);
  const mean = unit([byFinger[0] + byTrace[0], byFinger[1] + byTrace[1]]);
  if (mean === null || angleBetweenDeg(byFinger, byTrace) > AGREE_DEG) {
    return {
      strokes: [
        { at, towards: byFinger },
        { at, towards: byTrace, share: MOST_CROSSING },
      ],
      agree: false,
    };
  }
  return { strokes: [{ at, towards: mean }], agree: true };
}

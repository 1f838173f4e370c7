// How far hair stands off the strips that take it, sampled over their ground.

import { angleBetweenDeg, rotate, samplePoints } from '../shared';
import { growthAt, type GrowthField } from '../field';
import type { Piece } from './types';

/** Beyond this the growth is off its strip, degrees. */
const OFF_DEG = 25;
const ACROSS_DEG = 40;

export interface AngleErrors {
  readonly meanDeg: number;
  /** Shares of the area off by more than 25° and 40°. */
  readonly over25: number;
  readonly over40: number;
}

export function angleErrors(pieces: readonly Piece[], field: GrowthField): AngleErrors {
  let [n, total, over25, over40] = [0, 0, 0, 0];
  const area = pieces.reduce((s, p) => s + p.areaCm2, 0);
  const step = Math.max(0.1, Math.sqrt(area) / 26);
  for (const piece of pieces) {
    const worked = piece.turnDeg === undefined ? piece.growth : rotate(piece.growth, piece.turnDeg);
    for (const point of samplePoints([piece.outline], step)) {
      // a strip that follows a rim is peeled the way the rim runs there
      const error = piece.alongRim ? 0 : angleBetweenDeg(growthAt(field, point), worked);
      n++;
      total += error;
      if (error > OFF_DEG) over25++;
      if (error > ACROSS_DEG) over40++;
    }
  }
  return n === 0
    ? { meanDeg: 0, over25: 0, over40: 0 }
    : { meanDeg: total / n, over25: over25 / n, over40: over40 / n };
}

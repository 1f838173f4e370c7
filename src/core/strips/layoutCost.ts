// What a layout costs: strips + slivers + 20·share of area whose growth is off by more than 25°; too large pieces, too
// many of them and a mean error near the limit cost extra.

import type { GrowthField } from '../field';
import { angleErrors } from './angleErrors';
import { isSliver, isTooLarge } from './lanes';
import type { LayoutInput, Piece } from './types';

/** More strips than this are too many: 1.6 × the least number by area + 2. */
export const mostStrips = (areaCm2: number, [width, length]: readonly [number, number]): number =>
  (1.6 * areaCm2) / (width * length) + 2;

const OFF_WEIGHT = 20;
const BY_EYE_SAVES = 0.5;

/** A mean error above this costs extra, so that the layout stays under the 10° that count as following the growth. */
export const MEAN_DEG = 9.5;
const PER_DEGREE = 3;

/** The lower the better; a strip counts 1. */
export function costOf(pieces: readonly Piece[], field: GrowthField, input: LayoutInput): number {
  const errors = angleErrors(pieces, field);
  const slivers = pieces.filter((p) => isSliver(p, input.largestCm)).length;
  // a straight cut by the cell's axis may leave a turned piece longer
  const large = pieces.filter((p) => isTooLarge(p, input.largestCm)).length;
  // small pieces of a fan are quickly laid, and what they replace are corners and slivers
  const byEye = pieces.filter((p) => p.byEye).length;
  // strips beyond what the area asks for count twice
  const beyond = Math.max(
    0,
    pieces.length -
      byEye -
      mostStrips(
        pieces.reduce((s, p) => s + p.areaCm2, 0),
        input.largestCm,
      ),
  );
  return (
    pieces.length -
    BY_EYE_SAVES * byEye +
    slivers +
    large +
    beyond +
    OFF_WEIGHT * errors.over25 +
    PER_DEGREE * Math.max(0, errors.meanDeg - (input.meanErrorDeg ?? MEAN_DEG))
  );
}

// A line between the hair that stays and the hair that goes: points on the sheet, and on which side of them hair stays.
// Sheet centimetres (shared/vec.ts). Points are moved by hand; the outline that strips keep clear of follows from them.

import { smoothRing } from '../anatomy';
import { roundTo, type Ring, type Vec } from '../shared';

/**
 * Where hair stays: within the closed line; on one side of an open one; or in an upright column between two, the first
 * half of the points on its left from above to below, the second on its right from below to above.
 */
export type Stays = 'inside' | 'above' | 'below' | 'left' | 'right' | 'column';

export interface KeepLine {
  readonly stays: Stays;
  readonly points: readonly Vec[];
}

export interface Ground {
  readonly widthCm: number;
  readonly heightCm: number;
}

/** How far an outline reaches over the sheet where its line runs out of it, cm. */
const OVER_CM = 1;
/** Points that a closed line is drawn with from one point moved by hand to the next. */
const PER_SPAN = 6;

/** A line that is not closed, carried on to both edges of the sheet. */
function carriedOn(points: readonly Vec[], axis: 0 | 1, [from, to]: readonly [number, number]): readonly Vec[] {
  const [first, last]: readonly [Vec, Vec] = [points[0] ?? [0, 0], points.at(-1) ?? [0, 0]];
  const at = (p: Vec, value: number): Vec => (axis === 0 ? [value, p[1]] : [p[0], value]);
  const [a, b] = last[axis] >= first[axis] ? [from, to] : [to, from];
  return [at(first, a), ...points, at(last, b)];
}

/** The outline of what stays; it may reach over the sheet's edges. */
export function ringOfLine({ stays, points }: KeepLine, { widthCm, heightCm }: Ground): Ring {
  const x: readonly [number, number] = [-OVER_CM, widthCm + OVER_CM];
  const y: readonly [number, number] = [-OVER_CM, heightCm + OVER_CM];
  switch (stays) {
    case 'inside':
      return smoothRing(points, PER_SPAN);
    case 'above':
    case 'below': {
      const line = carriedOn(points, 0, x);
      const far = stays === 'above' ? y[0] : y[1];
      return [...line, [line.at(-1)?.[0] ?? 0, far], [line[0]?.[0] ?? 0, far]];
    }
    case 'left':
    case 'right': {
      const line = carriedOn(points, 1, y);
      const far = stays === 'left' ? x[0] : x[1];
      return [...line, [far, line.at(-1)?.[1] ?? 0], [far, line[0]?.[1] ?? 0]];
    }
    case 'column': {
      const half = Math.floor(points.length / 2);
      return [...carriedOn(points.slice(0, half), 1, y), ...carriedOn(points.slice(half), 1, y)];
    }
  }
}

const ACROSS: Readonly<Record<Stays, Stays>> = {
  inside: 'inside',
  above: 'above',
  below: 'below',
  left: 'right',
  right: 'left',
  column: 'column',
};

/** The same line in the mirror of the sheet's upright middle; points keep their places in the row. */
export const mirrorLine = ({ stays, points }: KeepLine, widthCm: number): KeepLine => {
  const flipped = points.map(([x, y]): Vec => [roundTo(widthCm - x, 4), y]);
  const half = Math.floor(points.length / 2);
  return {
    stays: ACROSS[stays],
    // a column's left side becomes its right, and still runs from above to below first
    points: stays === 'column' ? [...flipped.slice(half).reverse(), ...flipped.slice(0, half).reverse()] : flipped,
  };
};

/** The line on a sheet of another size [width, height], cm. */
export const fitLine = (line: KeepLine, from: readonly [number, number], to: readonly [number, number]): KeepLine => ({
  ...line,
  points: line.points.map(([x, y]): Vec => [roundTo((x * to[0]) / from[0], 4), roundTo((y * to[1]) / from[1], 4)]),
});

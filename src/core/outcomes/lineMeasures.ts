// What is measured along a line: how far a point was moved, how much two sides differ, and the hair close by that is
// tweezed instead of waxed.

import type { Side } from '../anatomy';
import { distance, distanceToSegment, isInside, roundTo, type Region, type Ring, type Vec } from '../shared';

const MM_PER_CM = 10;
/** Hair this close to a border is tweezed, not waxed (common practice, no source), cm. */
const TWEEZED_CM = 0.1;
/** Points along a line lie this close, cm. */
const STEP_CM = 0.05;

/** Places along a closed ring, with the length that each stands for, cm, and the unit normal. */
function along(ring: Ring): readonly { readonly at: Vec; readonly lengthCm: number; readonly normal: Vec }[] {
  return ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    const long = distance(a, b);
    const count = Math.ceil(long / STEP_CM);
    return Array.from({ length: count }, (_, k) => {
      const t = (k + 0.5) / count;
      return {
        at: [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])] as Vec,
        lengthCm: long / count,
        normal: [(b[1] - a[1]) / long, (a[0] - b[0]) / long] as Vec,
      };
    });
  });
}

const toRing = (at: Vec, ring: Ring): number =>
  Math.min(...ring.map((a, i) => distanceToSegment(at, a, ring[(i + 1) % ring.length] ?? a)));

/** The most that two closed lines lie apart, mm: one of a pair, and the other in the mirror. */
export function apartMm(one: Ring, other: Ring): number {
  const most = (from: Ring, to: Ring): number => Math.max(0, ...along(from).map((p) => toRing(p.at, to)));
  return roundTo(MM_PER_CM * Math.max(most(one, other), most(other, one)), 1);
}

/** Places along the borders of what stays that have hair that goes beside them. */
export function besideLine(keep: Region, going: Region): readonly { readonly at: Vec; readonly lengthCm: number }[] {
  const hair = (at: Vec): boolean => isInside(going, at);
  return keep.flatMap((ring) =>
    along(ring).flatMap(({ at, lengthCm, normal: [nx, ny] }) =>
      ([1, -1] as const)
        .map((way): Vec => [at[0] + (way * nx * TWEEZED_CM) / 2, at[1] + (way * ny * TWEEZED_CM) / 2])
        .filter(hair)
        .map((beside) => ({ at: beside, lengthCm })),
    ),
  );
}

/** Ground within a millimetre of the line, cm² per cm of it. */
export const TWEEZED_CM2_PER_CM = TWEEZED_CM;

const DIRECTIONS = [
  ['up', 0, -1],
  ['down', 0, 1],
] as const;

/** Words for towards the sheet's left and right: of a paired zone in and out, as its outer side lies. */
const LEVEL: Readonly<Record<Side, readonly [string, string]>> = {
  left: ['in', 'out'],
  right: ['out', 'in'],
  middle: ['left', 'right'],
};

/** `1.5 mm up, 1 mm out`: how far a point stands from where it was; null below a twentieth of a mm. */
export function moveWords(from: Vec, to: Vec, side: Side): string | null {
  const [dx, dy] = [MM_PER_CM * (to[0] - from[0]), MM_PER_CM * (to[1] - from[1])];
  if (Math.hypot(dx, dy) < 0.05) return null;
  const upright = DIRECTIONS.find(([, , way]) => way === Math.sign(dy))?.[0] ?? 'up';
  const level = LEVEL[side][dx > 0 ? 1 : 0];
  const parts: readonly (readonly [number, string])[] = [
    [roundTo(Math.abs(dy), 1), upright],
    [roundTo(Math.abs(dx), 1), level],
  ];
  return parts
    .filter(([mm]) => mm >= 0.1)
    .map(([mm, word]) => `${mm} mm ${word}`)
    .join(', ');
}

// What is worked before what within a zone, whatever the clock says (common practice, no source): edge before inner,
// the rim of the ear before the ball at its tragus,
// under the brow before over it, lower half of the underarm before the upper, the sides before the middle of the front,
// the flanks of the back last.

import { browSpineAt } from './browSheet';
import type { Side, ZoneId } from './types';

/** Course of a place of the left or middle sheet, given in shares of it; lower comes first. */
type Course = (x: number, y: number) => number;

/** How far a place lies from the upright middle line, 0 in it and 1 at the border. */
const aside = (x: number): number => Math.abs(2 * x - 1);

const COURSES: Readonly<Partial<Record<ZoneId, Course>>> = {
  brow: (x, y) => (y > browSpineAt(x) ? 0 : 1),
  underarm: (_, y) => (y > 0.5 ? 0 : 1),
  ear: (x, y) => (x < 0.5 && y > 0.3 && y < 0.63 ? 1 : 0),
  'bikini-extended': (x) => (x > 0.5 ? 0 : 1),
  'front-complete': (x) => (aside(x) > 0.5 ? 0 : 1),
  'upper-back': (x) => (aside(x) > 0.68 ? 1 : 0),
  'lower-back': (x) => (aside(x) > 0.68 ? 1 : 0),
};

/**
 * Zones worked to their end on one side before the other is begun, and never in turns with another zone: near the eye
 * the practitioner moves to where she sees it (common practice, no source).
 */
export const ONE_SIDE_FIRST: readonly ZoneId[] = ['brow'];

/** Zones of two halves with a fold or a cleft between them: wax never bridges it (common practice, no source). */
export const TWO_HALVES: readonly ZoneId[] = ['front-complete', 'buttock-crease'];

/**
 * The course of a place on the zone's sheet: all of a lower one is laid before any of a higher one.
 * @param at in shares of the sheet's width and height
 */
export function courseAt(zone: ZoneId, side: Side, [x, y]: readonly [number, number]): number {
  return COURSES[zone]?.(side === 'right' ? 1 - x : x, y) ?? 0;
}

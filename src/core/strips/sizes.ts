// Largest strip for a zone, family, manner and hand: the zone's practised size; a trainee lays about half the length,
// an expert somewhat longer up to 26 cm (common practice, no source).

import type { Family, Zone } from '../anatomy';
import type { HandLevel } from './types';

const LONGEST_CM = 26;
const LENGTH: Readonly<Record<HandLevel, number>> = { trainee: 0.5, practised: 1, expert: 1.2 };

/** Small strips, where a pull should take less skin at once: half the area (from memory). */
const SMALL = Math.SQRT1_2;

/** [width, length] in cm; the length never falls below the width's two thirds. `small`: half as much ground a strip. */
export function largestStrip(zone: Zone, family: Family, level: HandLevel, small = false): readonly [number, number] {
  const [width, length] = zone.stripCm[family];
  const by = small ? SMALL : 1;
  return [by * width, by * Math.min(LONGEST_CM, Math.max(width * 0.67, length * LENGTH[level]))];
}

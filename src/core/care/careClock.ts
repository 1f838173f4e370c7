// Care as moments of a clock: after a visit counted from its finish, before one backwards from its start. The spans are
// those of the care list (common practice; 24–48 h of heat and sun, and the scrub from day 2–3, from memory; the upper
// end of 12–24 h without deodorant is taken).

import { ZONES, type Family, type ZoneId } from '../anatomy';
import type { CareText } from './careTexts';

export interface CareMoment {
  /** Hours after the finish; before a start they are negative. */
  readonly hours: number;
  /** The hour matters, or the day alone. */
  readonly by: 'hour' | 'day';
  readonly text: CareText;
}

const DAY = 24;

interface Rule extends CareMoment {
  readonly only?: (zones: readonly ZoneId[], families: readonly Family[]) => boolean;
}

const AFTER: readonly Rule[] = [
  { hours: 0, by: 'hour', text: 'washesOff', only: (_, families) => families.includes('sugar') },
  { hours: 4, by: 'hour', text: 'gel' },
  { hours: 20, by: 'day', text: 'pointsGone' },
  { hours: DAY, by: 'hour', text: 'deodorant', only: (zones) => zones.includes('underarm') },
  { hours: DAY, by: 'hour', text: 'makeUp', only: (zones) => zones.some((z) => ZONES[z].face) },
  { hours: DAY, by: 'hour', text: 'sport' },
  { hours: 2 * DAY, by: 'hour', text: 'heat' },
  { hours: 3 * DAY, by: 'day', text: 'scrub' },
];

const BEFORE: readonly Rule[] = [
  { hours: -7 * DAY, by: 'day', text: 'acids' },
  { hours: -2 * DAY, by: 'day', text: 'scrubBefore' },
  { hours: -12, by: 'hour', text: 'stimulants' },
  { hours: 0, by: 'hour', text: 'nothingOn' },
];

const bare = ({ hours, by, text }: Rule): CareMoment => ({ hours, by, text });

/** From when what is allowed again after a visit of these zones, in the order of time. */
export const careAfter = (zones: readonly ZoneId[], families: readonly Family[]): readonly CareMoment[] =>
  zones.length === 0 ? [] : AFTER.filter((r) => r.only?.(zones, families) ?? true).map(bare);

/** What is to be done before a visit, in the order of time. */
export const careBefore = (): readonly CareMoment[] => BEFORE.map(bare);

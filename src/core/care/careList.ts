// Care before and after, as data. Hours are counted back from, or on from, the visit. Common practice unless said
// otherwise.

import { ZONES, type Family, type ZoneId } from '../anatomy';

export interface CareItem {
  readonly when: 'before' | 'after';
  readonly fromH: number;
  readonly toH: number;
  /** Null = all zones of the visit. */
  readonly zone: ZoneId | null;
  readonly text: string;
}

interface CareRule extends CareItem {
  readonly only?: (zone: ZoneId) => boolean;
}

const DAY = 24;

const RULES: readonly CareRule[] = [
  {
    when: 'before',
    fromH: 7 * DAY,
    toH: 0,
    zone: null,
    text: 'No peels, acids or resurfacing on the area for 7 days before.',
  },
  {
    when: 'before',
    fromH: 2 * DAY,
    toH: 1 * DAY,
    zone: null,
    text: 'Exfoliate gently 1–2 days before, not on the day.',
  },
  {
    when: 'before',
    fromH: 7 * DAY,
    toH: 1 * DAY,
    zone: null,
    text: 'Moisturise daily; nothing on the skin on the day itself.',
  },
  { when: 'before', fromH: 12, toH: 0, zone: null, text: 'No coffee, alcohol or other stimulants before the visit.' },
  {
    when: 'before',
    fromH: 28 * DAY,
    toH: 0,
    zone: null,
    text: 'Do not shave in between; bring hair about 5–7 mm long.',
  },
  // the upper end of 12–24 h for deodorant and the 48 h of heat and sun are from memory
  { when: 'after', fromH: 0, toH: 24, zone: null, text: 'No exercise, hands off; nothing perfumed on the area.' },
  {
    when: 'after',
    fromH: 0,
    toH: 24,
    zone: 'underarm',
    text: 'No deodorant for 12–24 hours.',
    only: (zone) => zone === 'underarm',
  },
  {
    when: 'after',
    fromH: 0,
    toH: 24,
    zone: 'upper-lip',
    text: 'No make-up on the area today.',
    only: (zone) => ZONES[zone].face,
  },
  { when: 'after', fromH: 0, toH: 48, zone: null, text: 'No sauna, hot bath, sun or tight clothing for 24–48 hours.' },
  { when: 'after', fromH: 0, toH: 48, zone: null, text: 'Cool aloe-type gel or an unperfumed soothing lotion.' },
  {
    when: 'after',
    fromH: 0,
    toH: 24,
    zone: null,
    text: 'Small red points should be gone by next morning; if not, or if skin blisters or weeps, get in touch.',
  },
  {
    when: 'after',
    fromH: 2 * DAY,
    toH: 28 * DAY,
    zone: null,
    text: 'From day 2–3 exfoliate gently, then regularly; moisturise daily.',
  },
  {
    when: 'after',
    fromH: 0,
    toH: 28 * DAY,
    zone: null,
    text: 'Do not shave in between: it puts you back to the start.',
  },
];

const SUGAR: CareItem = {
  when: 'after',
  fromH: 0,
  toH: 4,
  zone: null,
  text: 'Anything sticky left washes off with warm water.',
};

/** The care list of a visit, in the order of time. */
export function careList(zones: readonly ZoneId[], families: readonly Family[]): readonly CareItem[] {
  if (zones.length === 0) return [];
  const unique = [...new Set(zones)];
  const items = RULES.flatMap(({ only, ...item }): CareItem[] =>
    only ? unique.filter(only).map((zone) => ({ ...item, zone })) : [item],
  );
  return [...items, ...(families.includes('sugar') ? [SUGAR] : [])];
}

// A round in words: how the client lies, where one stands, and the order of every zone as a sentence that can be said
// by heart after one look.

import { ZONES, zoneKey } from '../anatomy';
import { PATTERN_WORDS, SIDES_WORDS } from '../hands';
import type { PlanRound, PlanZone } from './planTypes';
import type { RoundPart, ScheduleRound } from './visitSchedule';

/** Places whose name says already where they are: `above the ankle`. */
const SAYS_WHERE = /^(above|below|under|over|towards) /;

/** Where the first two strips lie; null where they do not lie in one place that has a name. */
function firstPlace(zone: PlanZone): string | null {
  const [first, second] = [...zone.strips].sort((a, b) => a.order - b.order);
  const place = first?.place ?? null;
  if (second && second.place !== place) return null;
  return place === null || SAYS_WHERE.test(place) ? place : `the ${place}`;
}

const QUICKEST = 'By the numbers: the quickest order, not one to remember.';

function partWords(part: RoundPart, zones: ReadonlyMap<string, PlanZone>): string {
  const own = part.zones.flatMap((key) => zones.get(key) ?? []);
  const [zone] = own;
  if (!zone) return '';
  const strips = own.reduce((n, z) => n + z.strips.length, 0);
  if (strips === own.length) return own.length > 1 ? 'One strip a side.' : 'One strip.';
  if (part.pattern === null) return QUICKEST;
  const from = firstPlace(zone);
  if (part.pattern === 'zones-in-turn') {
    const names = [...new Set(own.map((z) => ZONES[z.zone].name.toLowerCase()))].join(' and ');
    return `${names.charAt(0).toUpperCase()}${names.slice(1)} in turn, strip by strip.`;
  }
  const order = PATTERN_WORDS[part.pattern].replace('the tab end', from ?? 'the tab end');
  const sides = part.sides ? ` ${SIDES_WORDS[part.sides]}` : '';
  return `${order}${sides}`;
}

function standWords(round: ScheduleRound, zones: ReadonlyMap<string, PlanZone>): string {
  const own = round.zones.flatMap((key) => zones.get(key) ?? []);
  const body = own.filter((z) => !ZONES[z.zone].face);
  const sides = [...new Set(body.flatMap((z) => (z.side === 'middle' ? [] : [z.side])))];
  const stands = [
    ...(sides.length === 2 ? ['on both sides of the table'] : sides.map((s) => `on the client’s ${s}`)),
    ...(body.length > 0 && sides.length === 0 ? ['on either side'] : []),
    ...(body.length < own.length ? ['at the head'] : []),
  ];
  return `Stand ${stands.join(', then ')}.`;
}

export function roundWords(round: ScheduleRound, planned: readonly PlanZone[]): Pick<PlanRound, 'stands' | 'says'> {
  const zones = new Map(planned.map((z) => [zoneKey(z), z]));
  return { stands: standWords(round, zones), says: round.parts.map((p) => partWords(p, zones)) };
}

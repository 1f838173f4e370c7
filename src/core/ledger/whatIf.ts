// What if: another price, longer or shorter places, another product, one more table. One curve over what is changed,
// with its doubt as a band; the answer is the difference to now and where it breaks even. How clients answer a price,
// and how many new places are taken, is not known beforehand: the figures are from memory and the band is wide.

import { honestYear, WEEKS, type YearFacts } from './honestYear';
import { shareMinor } from './rounding';

export const QUESTIONS = ['price', 'minutes', 'product', 'table'] as const;
export type Question = (typeof QUESTIONS)[number];

/** Of a rise in price by 1 %, clients lost in percent: nobody, about half of it, all of it. From memory. */
const LEAVES = { best: 0, likely: 0.5, worst: 1 } as const;
/** Of places that are new, those that are taken. From memory. */
const TAKEN = { best: 1, likely: 0.5, worst: 0 } as const;
/** How full the table is against what is thought. From memory. */
const TABLE_FILLS = { best: 1.15, likely: 1, worst: 0.85 } as const;
type Case = keyof typeof LEAVES;

/** What working with a product changes at a place, by the studio's own visits. */
export interface ProductEffect {
  /** Share of places that are worked with it now, 0–1. */
  readonly shareNow: number;
  /** A place with it against one without, min and minor units. */
  readonly minutesMore: number;
  readonly materialsMoreMinor: number;
}
export interface TableFacts {
  /** What an hour of the hands at it costs; as many hours as here, and the room is paid for. */
  readonly labourMinorPerHour: number;
}
export interface WhatIfInput {
  readonly now: YearFacts;
  readonly product: ProductEffect;
  readonly table: TableFacts;
}

export interface WhatIfPoint {
  readonly x: number;
  readonly likelyMinor: number;
  readonly bestMinor: number;
  readonly worstMinor: number;
}

/** The same hours at other minutes: fewer places for sure, or more of which some are taken. */
function placesAt(now: YearFacts, minutes: number, which: Case): number {
  const of = (now.minutes + now.turnoverMin) / (minutes + now.turnoverMin);
  return of <= 1 ? of : 1 + (of - 1) * TAKEN[which];
}

/** Fine enough that a curve has no steps: places and minutes are whole numbers in the year's sum. */
const FINE = 1000;

/** The year with so many times the places that are worked now, at other minutes, another price or material. */
function yearAt(
  now: YearFacts,
  times: number,
  changed: Partial<Pick<YearFacts, 'minutes' | 'priceMinor' | 'materialsMinor'>>,
): number {
  const minutes = changed.minutes ?? now.minutes;
  // the wish has its places back to back: the worked ones must come out as said
  const share = now.minutes / (now.minutes + now.turnoverMin);
  const shareThen = minutes / (minutes + now.turnoverMin);
  const scaled = honestYear({
    ...now,
    ...changed,
    placesAWeek: Math.max(0, Math.round((FINE * now.placesAWeek * times * share) / shareThen)),
    minutes: Math.round(FINE * minutes),
    turnoverMin: Math.round(FINE * now.turnoverMin),
    roomYearMinor: now.roomYearMinor * FINE,
  });
  return Math.round(scaled.leftMinor / FINE);
}

/** What the hands at a new table cost in a year; nothing is paid in the weeks off. */
const handsYear = (now: YearFacts, table: TableFacts): number =>
  Math.round((table.labourMinorPerHour * now.placesAWeek * now.minutes * Math.max(0, WEEKS - now.weeksOff)) / 60);

function leftAt(question: Question, x: number, { now, product, table }: WhatIfInput, which: Case): number {
  if (question === 'price') {
    const rise = now.priceMinor > 0 ? (x - now.priceMinor) / now.priceMinor : 0;
    // cheaper brings nobody into places that are taken
    return yearAt(now, Math.max(0, 1 - LEAVES[which] * Math.max(0, rise)), { priceMinor: Math.round(x) });
  }
  if (question === 'minutes') return yearAt(now, placesAt(now, x, which), { minutes: Math.max(1, x) });
  if (question === 'product') {
    const more = x / 100 - product.shareNow;
    const minutes = Math.max(1, now.minutes + more * product.minutesMore);
    const materialsMinor = Math.max(0, Math.round(now.materialsMinor + more * product.materialsMoreMinor));
    return yearAt(now, placesAt(now, minutes, which), { minutes, materialsMinor });
  }
  const year = honestYear(now);
  // a place there is a place here, as often missed and with the same material; its hands are paid, come who may
  const fill = Math.min(1, (x / 100) * TABLE_FILLS[which]);
  const more = Math.round(year.places * fill * (now.priceMinor - now.materialsMinor)) - handsYear(now, table);
  const before = year.leftMinor + (year.losses.find((l) => l.name === 'tax')?.minor ?? 0) + more;
  return before > 0 ? before - shareMinor(before, now.taxPermille, 1000) : before;
}

/** One value of the curve. `x`: minor units, minutes, percent of the places, percent of the new table that is taken. */
export function whatIfAt(question: Question, x: number, input: WhatIfInput): WhatIfPoint {
  const of = (which: Case): number => leftAt(question, x, input, which);
  const [a, b] = [of('best'), of('worst')];
  return { x, likelyMinor: of('likely'), bestMinor: Math.max(a, b), worstMinor: Math.min(a, b) };
}

/** Where the handle stands for what is now. */
export const whatIfNow = (question: Question, { now, product }: WhatIfInput): number =>
  ({ price: now.priceMinor, minutes: now.minutes, product: Math.round(100 * product.shareNow), table: 0 })[question];

/** Ends of the axis and its step. */
export function whatIfRange(
  question: Question,
  { now }: WhatIfInput,
): { readonly from: number; readonly to: number; readonly step: number } {
  if (question === 'price') {
    const step = now.priceMinor > 20_000 ? 500 : 50;
    const at = (share: number): number => Math.round((now.priceMinor * share) / step) * step;
    return { from: at(0.85), to: at(1.25), step };
  }
  if (question === 'minutes') return { from: Math.max(5, now.minutes - 15), to: now.minutes + 15, step: 1 };
  return { from: 0, to: 100, step: 5 };
}

/** So many clients of a hundred may stop coming before the new price brings nothing; null where it is not higher. */
export function lostBeforeNothing(now: YearFacts, priceMinor: number): number | null {
  const place = priceMinor - now.materialsMinor;
  return priceMinor <= now.priceMinor || place <= 0 ? null : (100 * (priceMinor - now.priceMinor)) / place;
}

/** So much of a new table must be taken for its hands, percent; null where it never is enough. */
export function tableBreaksEven({ now, table }: WhatIfInput): number | null {
  const hands = handsYear(now, table);
  const full = honestYear(now).places * (now.priceMinor - now.materialsMinor);
  if (full <= 0 || hands > full) return null;
  return (100 * hands) / full;
}

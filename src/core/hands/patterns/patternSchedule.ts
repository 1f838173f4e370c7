// The order that a hand remembers: every order of the list is scheduled as well as it can be, and the simplest that
// ends hardly later than the best of them is taken.

import { scheduleInOrder } from '../fixedOrder';
import { roughEndS } from '../roughEnd';
import { opsOf, type TableState } from '../state';
import type { HandsInput, Op } from '../types';
import { holdsNextFree, nextFreeOrder, type LooksFirst, type SideList } from './nextFree';
import { patternOrders, PATTERNS, type PatternName } from './orders';
import { levelLists } from './levels';
import type { Place, Wanting } from './places';

/**
 * An end may be later than the best order's by the larger of these before a less simple one is taken: share and
 * seconds. Lanes that follow others, and two parts at once, have to save more.
 */
const PLAIN_LATER = { share: 0.03, s: 10 };
const HARDER_LATER = { share: 0.06, s: 15 };
const HARDER: readonly PatternName[] = ['lead-follow', 'checkerboard', 'halves'];
/** With a middle line between them the halves are seen, and go in turn as the sides of a pair do. */
const HARDER_HALVED: readonly PatternName[] = ['lead-follow', 'checkerboard'];

/**
 * Orders of each pattern that are scheduled in full: fewer of many strips, and more of those that look nearly as good.
 */
const triedOf = (strips: number): number => Math.min(24, Math.max(2, Math.round(160 / strips)));
const MORE_IF_NEAR = 3;
const NEAR_SHARE = 1.06;

/** How the sides of a pair are combined. */
export type SidesBy = 'one-then-other' | 'turns' | 'two-and-two' | 'one-behind' | 'as-free' | 'one-leads';

/** That as a sentence at the table. */
export const SIDES_WORDS: Readonly<Record<SidesBy, string>> = {
  'one-then-other': 'One side, then the other.',
  turns: 'Both sides in turn, strip by strip.',
  'two-and-two': 'Both sides in turn, two by two.',
  'one-behind': 'Both sides in turn, the other a strip later.',
  'as-free': 'Nothing free: the other side.',
  'one-leads': 'One side leads; nothing free there: the other.',
};

/** One sheet: its strips as indices of the task's jobs, in the order of its own numbers. */
export interface PatternSheet {
  readonly jobs: readonly number[];
  readonly places: readonly Place[];
}

export interface Patterned {
  readonly name: PatternName;
  readonly sides: SidesBy | null;
  readonly order: readonly number[];
  readonly end: TableState;
}

interface Candidate {
  readonly name: PatternName;
  readonly sides: SidesBy | null;
  readonly order: readonly number[];
  /** Whether a schedule of it is what its sentence says; absent = always. */
  readonly holds?: (ops: readonly Op[]) => boolean;
}

/** So many of one side, then as many of the other, in turn. */
const inBlocks = (a: readonly number[], b: readonly number[], size: number): readonly number[] =>
  Array.from({ length: Math.ceil(Math.max(a.length, b.length) / size) }, (_, k) => [
    ...a.slice(k * size, (k + 1) * size),
    ...b.slice(k * size, (k + 1) * size),
  ]).flat();

/** In turns, the second side one strip behind. */
const oneBehind = (a: readonly number[], b: readonly number[]): readonly number[] => [
  ...a.slice(0, 1),
  ...a.slice(1).flatMap((job, k) => [job, ...b.slice(k, k + 1)]),
  ...b.slice(Math.max(0, a.length - 1)),
];

const inTurns = (a: readonly number[], b: readonly number[]): readonly number[] => inBlocks(a, b, 1);

type Join = (a: readonly number[], b: readonly number[]) => readonly number[];

const TOGETHER: readonly (readonly [SidesBy, Join])[] = [
  ['one-then-other', (a, b) => [...a, ...b]],
  ['turns', inTurns],
  ['two-and-two', (a, b) => inBlocks(a, b, 2)],
  ['one-behind', oneBehind],
];

/** Needs within the sheet, by place in it. */
function needsOn(input: HandsInput, sheet: PatternSheet): readonly (readonly number[])[] {
  const own = new Map(sheet.jobs.map((job, k) => [job, k]));
  return sheet.jobs.map((job) => (input.jobs[job]?.needs ?? []).flatMap((n) => own.get(n) ?? []));
}

const NOWHERE: Place = { at: [0, 0], pull: [0, -1], lengthCm: 1 };

const wantingOf = (input: HandsInput, sheet: PatternSheet): readonly Wanting[] =>
  needsOn(input, sheet).map((needs, k) => ({ place: sheet.places[k] ?? NOWHERE, needs }));

/** The orders of one sheet, as jobs. */
function ordersOf(input: HandsInput, sheet: PatternSheet, name: PatternName): readonly (readonly number[])[] {
  return patternOrders(wantingOf(input, sheet), [name]).map(({ order }) => order.map((k) => sheet.jobs[k] ?? 0));
}

/** The same strips in the same numbers, each behind the same others. */
const areAlike = (input: HandsInput, a: PatternSheet, b: PatternSheet): boolean =>
  JSON.stringify(needsOn(input, a)) === JSON.stringify(needsOn(input, b));

/** Strips that come off at once leave nothing to pass over; the fewest on the skin that do. */
const PASSES_OVER = 2;
/** Where the next free strip of a pair is looked for, and what that is called. */
const FREE_SIDES: readonly (readonly [SidesBy, LooksFirst])[] = [
  ['as-free', 'here'],
  ['one-leads', 'one-side'],
  ['turns', 'across'],
];
const ONE_BY_ONE: typeof FREE_SIDES = [['one-then-other', 'one-side']];

/** The lists in which the eye looks for the next free strip, as jobs. */
const listsOf = (input: HandsInput, sheet: PatternSheet): readonly SideList[] =>
  levelLists(wantingOf(input, sheet)).map(({ order, heights }) => ({
    jobs: order.map((k) => sheet.jobs[k] ?? 0),
    heights,
  }));

/** Of every list of levels the order in which what is not free is passed over, for two strips on the skin and more. */
function freeCandidates(
  input: HandsInput,
  sheets: readonly PatternSheet[],
  oneSideFirst: boolean,
): readonly Candidate[] {
  const [first, second] = sheets;
  if (!first || input.jobs.every((j) => j.setMinS === 0)) return [];
  const alike = second !== undefined && areAlike(input, first, second);
  const place = new Map(first.jobs.map((job, k) => [job, k]));
  const own = second && !alike ? listsOf(input, second) : [];
  const mostOn = Array.from({ length: Math.max(0, input.maxOnSkin - PASSES_OVER + 1) }, (_, k) => k + PASSES_OVER);
  return listsOf(input, first).flatMap((a, k) => {
    const mirrored = { ...a, jobs: a.jobs.map((job) => second?.jobs[place.get(job) ?? 0] ?? 0) };
    const sides = second ? [a, alike ? mirrored : (own[k] ?? own[0] ?? mirrored)] : [a];
    return mostOn.flatMap((most) =>
      (second && !oneSideFirst ? FREE_SIDES : ONE_BY_ONE).flatMap(([by, looksFirst]): readonly Candidate[] => {
        const order = nextFreeOrder({ input, sides, alike, most, first: looksFirst });
        const holds = (ops: readonly Op[]): boolean => holdsNextFree({ input, sides, alike, first: looksFirst }, ops);
        return order ? [{ name: 'next-free', sides: second ? by : null, order, holds }] : [];
      }),
    );
  });
}

/** Orders of one sheet, or of a pair: alike where both sides are, else each side by its own strips. */
function candidates(
  input: HandsInput,
  sheets: readonly PatternSheet[],
  name: PatternName,
  oneSideFirst: boolean,
): readonly Candidate[] {
  const [first, second] = sheets;
  if (!first) return [];
  const orders = ordersOf(input, first, name);
  if (!second) return orders.map((order) => ({ name, sides: null, order }));
  const alike = areAlike(input, first, second);
  const own = alike ? [] : ordersOf(input, second, name);
  const place = new Map(first.jobs.map((job, k) => [job, k]));
  return orders.flatMap((a, k): readonly Candidate[] => {
    const b = alike ? a.map((job) => second.jobs[place.get(job) ?? 0] ?? 0) : (own[k] ?? own[0]);
    const together = oneSideFirst ? TOGETHER.slice(0, 1) : TOGETHER;
    return b ? together.map(([sides, join]) => ({ name, sides, order: join(a, b) })) : [];
  });
}

/**
 * The pattern for one sheet, or for the two sides of a zone, the places of the other side seen in the mirror. Null
 * where no order of the list can be worked in time. `oneSideFirst`: the second side is begun when the first is done.
 * `halved`: a middle line parts the sheet.
 */
export function patternSchedule(
  input: HandsInput,
  sheets: readonly PatternSheet[],
  { oneSideFirst = false, halved = false }: { readonly oneSideFirst?: boolean; readonly halved?: boolean } = {},
): Patterned | null {
  const listed = PATTERNS.flatMap((name) =>
    name === 'next-free' ? freeCandidates(input, sheets, oneSideFirst) : candidates(input, sheets, name, oneSideFirst),
  );
  // what passes over nothing is rows again
  const rough = eachOnce(listed).map((c) => ({ ...c, roughS: roughEndS(input, c.order) }));
  const best = new Map<PatternName, Patterned>();
  let earliest = Infinity;
  // the likeliest first: what ends later than the best by more than is allowed is given up early
  for (const c of worthwhile(rough)) {
    const end = scheduleInOrder(input, c.order, {
      beatS: Math.min(best.get(c.name)?.end.nowS ?? Infinity, latestOf(earliest, HARDER_LATER) + 1),
    });
    if (!end || c.holds?.(opsOf(end)) === false) continue;
    best.set(c.name, { name: c.name, sides: c.sides, order: c.order, end });
    earliest = Math.min(earliest, end.nowS);
  }
  const all = PATTERNS.flatMap((name) => best.get(name) ?? []);
  const harder = halved ? HARDER_HALVED : HARDER;
  const plain = all.filter((p) => !harder.includes(p.name));
  const plainS = Math.min(...plain.map((p) => p.end.nowS));
  return plainS <= latestOf(earliest, HARDER_LATER)
    ? (plain.find((p) => p.end.nowS <= latestOf(plainS, PLAIN_LATER)) ?? null)
    : (all.find((p) => harder.includes(p.name) && p.end.nowS <= latestOf(earliest, PLAIN_LATER)) ?? null);
}

/** Every order once, under its simplest name. */
function eachOnce(listed: readonly Candidate[]): readonly Candidate[] {
  const known = new Set<string>();
  return listed.filter(({ order }) => {
    const key = order.join();
    const isNew = !known.has(key);
    known.add(key);
    return isNew;
  });
}

const latestOf = (earliestS: number, { share, s }: typeof PLAIN_LATER): number =>
  Math.max(earliestS * (1 + share), earliestS + s);

/** Of each pattern the orders that look best, of all the one that looks best first. */
function worthwhile<T extends Candidate & { readonly roughS: number }>(rough: readonly T[]): readonly T[] {
  const sorted = [...rough].sort((a, b) => a.roughS - b.roughS);
  const least = sorted[0]?.roughS ?? 0;
  const taken = new Map<PatternName, number>();
  return sorted.filter((c) => {
    const before = taken.get(c.name) ?? 0;
    taken.set(c.name, before + 1);
    const tried = triedOf(c.order.length);
    return before < tried || (before < MORE_IF_NEAR * tried && c.roughS <= least * NEAR_SHARE);
  });
}

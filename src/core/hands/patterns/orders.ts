// The closed list of orders that a hand can remember after one look, from the simplest to the least simple.

import { LAST_COURSE, seen, type LanesBy, type RowsBy, type Seen, type Wanting } from './places';

export const PATTERNS = [
  'patches',
  'rows',
  'every-other',
  'next-free',
  'every-other-lane',
  'lead-follow',
  'checkerboard',
  'halves',
] as const;
export type PatternName = (typeof PATTERNS)[number];

export interface PatternOrder {
  readonly name: PatternName;
  /** Strips in the order of laying, by index. */
  readonly order: readonly number[];
}

/** The order as a sentence at the table. */
export const PATTERN_WORDS: Readonly<Record<PatternName, string>> = {
  patches: 'Patch by patch from the tab end: spread, then take up cloth by cloth.',
  rows: 'From the tab end, row by row, one beside the other.',
  'every-other': 'From the tab end, in each row every other strip, then those between.',
  'next-free': 'From the tab end, row by row; what touches wax that lies waits.',
  'every-other-lane': 'From the tab end, every other lane to the far end, then the lanes between.',
  'lead-follow': 'From the tab end, every other lane leads; those between follow.',
  checkerboard: 'Middle of one part and the corners of the other, then the rest.',
  halves: 'One strip from each half in turn.',
};

const MOST_BEHIND = 3;

type Look = readonly Seen[];

const ids = (look: Look): readonly number[] => look.map((_, i) => i);
const inRows = (look: Look, of: readonly number[]): readonly (readonly number[])[] => {
  const rows = [...new Set(of.map((i) => look[i]?.row ?? 0))].sort((a, b) => a - b);
  return rows.map((row) =>
    of.filter((i) => look[i]?.row === row).sort((a, b) => (look[a]?.acrossCm ?? 0) - (look[b]?.acrossCm ?? 0)),
  );
};
const everyOther = (list: readonly number[], from: 0 | 1): readonly number[] => list.filter((_, k) => k % 2 === from);
const flip = (list: readonly number[], turned: boolean): readonly number[] => (turned ? [...list].reverse() : list);
const BOTH = [false, true] as const;

/** Row by row, from the left or the right, every row the same way or to and fro. */
function rowOrders(look: Look): readonly (readonly number[])[] {
  const rows = inRows(look, ids(look));
  return BOTH.flatMap((fro) =>
    BOTH.map((right) => rows.flatMap((row, k) => flip(row, right !== (fro && k % 2 === 1)))),
  );
}

function everyOtherOrders(look: Look): readonly (readonly number[])[] {
  const rows = inRows(look, ids(look));
  return BOTH.flatMap((back) =>
    BOTH.flatMap((right) =>
      ([0, 1] as const).map((from) =>
        rows.flatMap((row) => {
          const way = flip(row, right);
          return [...everyOther(way, from), ...flip(everyOther(way, from === 0 ? 1 : 0), back)];
        }),
      ),
    ),
  );
}

/** Strips of every other lane, and those between. */
function lanesApart(look: Look, from: 0 | 1): readonly [readonly number[], readonly number[]] {
  const isFirst = (i: number): boolean => (look[i]?.lane ?? 0) % 2 === from;
  return [ids(look).filter(isFirst), ids(look).filter((i) => !isFirst(i))];
}

const laneOrders = (look: Look): readonly (readonly number[])[] =>
  BOTH.flatMap((right) =>
    ([0, 1] as const).map((from) =>
      lanesApart(look, from).flatMap((of) => inRows(look, of).flatMap((row) => flip(row, right))),
    ),
  );

function leadOrders(look: Look): readonly (readonly number[])[] {
  return ([0, 1] as const).flatMap((from) =>
    BOTH.flatMap((right) =>
      Array.from({ length: MOST_BEHIND }, (_, k) => {
        const [lead, follow] = lanesApart(look, from).map((of) => inRows(look, of).map((row) => flip(row, right)));
        const rows = Math.max(lead?.length ?? 0, (follow?.length ?? 0) + k + 1);
        return Array.from({ length: rows }, (_r, r) => [...(lead?.[r] ?? []), ...(follow?.[r - k - 1] ?? [])]).flat();
      }),
    ),
  );
}

/** Two parts that are pulled opposite ways: every other place of one with the places between of the other. */
function checkerOrders(look: Look): readonly (readonly number[])[] {
  if (new Set(look.map((s) => s.part)).size !== 2) return [];
  return ([0, 1] as const).map((from) => {
    const places = new Map<number, 0 | 1>();
    for (const part of [0, 1] as const) {
      const own = ids(look).filter((i) => look[i]?.part === part);
      for (const row of inRows(look, own)) {
        row.forEach((i, k) => places.set(i, (k + part + from) % 2 === 0 ? 0 : 1));
      }
    }
    return ([0, 1] as const).flatMap((turn) =>
      inRows(
        look,
        ids(look).filter((i) => places.get(i) === turn),
      ).flat(),
    );
  });
}

/** Left and right of the middle, or two parts that are pulled opposite ways: one strip of each in turn. */
function halfOrders(look: Look): readonly (readonly number[])[] {
  const middle = look.map((s) => s.acrossCm).sort((a, b) => a - b)[Math.floor(look.length / 2)] ?? 0;
  const isTwo = new Set(look.map((s) => s.part)).size === 2;
  const isOne = (i: number): boolean => (isTwo ? look[i]?.part === 0 : (look[i]?.acrossCm ?? 0) < middle);
  const one = inRows(look, ids(look).filter(isOne)).flat();
  const other = inRows(
    look,
    ids(look).filter((i) => !isOne(i)),
  ).flat();
  return BOTH.flatMap((swapped) =>
    // the second half may begin a strip or two later
    [0, 1, 2].map((behind) => {
      const [a, b] = swapped ? [other, one] : [one, other];
      return Array.from({ length: Math.max(a.length, b.length + behind) }, (_, k) => [a[k], b[k - behind]])
        .flat()
        .flatMap((i) => (i === undefined ? [] : [i]));
    }),
  );
}

const MAKERS: Readonly<Record<PatternName, (look: Look) => readonly (readonly number[])[]>> = {
  patches: () => [],
  rows: rowOrders,
  'every-other': everyOtherOrders,
  // goes by what lies, not by the places alone (nextFree.ts)
  'next-free': () => [],
  'every-other-lane': laneOrders,
  'lead-follow': leadOrders,
  checkerboard: checkerOrders,
  halves: halfOrders,
};

const LOOKS: readonly (readonly [RowsBy, LanesBy])[] = [
  ['needs', 'nearest'],
  ['far', 'nearest'],
  ['depth', 'nearest'],
  ['needs', 'farthest'],
  ['needs', 'part'],
  ['far', 'part'],
  ['depth', 'part'],
];

/** Whether every strip comes after those that must be off before it. */
function isPossible(order: readonly number[], strips: readonly Wanting[]): boolean {
  const place = new Map(order.map((i, k) => [i, k]));
  return order.every((i, k) => (strips[i]?.needs ?? []).every((n) => (place.get(n) ?? Infinity) < k));
}

/** Strips that are spread at once stay together, as they come: openers first. */
const patchOrders = (strips: readonly Wanting[]): readonly (readonly number[])[] => [strips.map((_, i) => i)];

/** Every order of the list that one zone's strips can be laid in, the simplest first, each once. */
export function patternOrders(
  strips: readonly Wanting[],
  names: readonly PatternName[] = PATTERNS,
): readonly PatternOrder[] {
  const isSpread = strips.some((s) => s.place.patch !== undefined);
  const looks = isSpread ? [] : LOOKS.map(([rows, lanes]) => seen(strips, rows, lanes));
  const made = (name: PatternName): readonly (readonly number[])[] =>
    isSpread && name === 'patches' ? patchOrders(strips) : looks.flatMap((look) => MAKERS[name](look));
  const listed = names.flatMap((name) => made(name).map((order): PatternOrder => ({ name, order })));
  const sorted = (courseOf: (course: number) => number): readonly PatternOrder[] =>
    each(
      listed.map(({ name, order }) => ({ name, order: byCourse(order, strips, courseOf) })),
      strips,
    );
  // a course that the tabs do not allow is given up, what comes after everything else last
  const found = sorted((course) => course);
  if (found.length > 0 || listed.length === 0) return found;
  const lastKept = sorted((course) => (course >= LAST_COURSE ? 1 : 0));
  return lastKept.length > 0 ? lastKept : each(listed, strips);
}

/** Course by course, each in the order given. */
const byCourse = (
  order: readonly number[],
  strips: readonly Wanting[],
  courseOf: (course: number) => number,
): readonly number[] => {
  const of = (i: number): number => courseOf(strips[i]?.place.course ?? 0);
  return [...order].sort((a, b) => of(a) - of(b));
};

/** Those that can be laid so, each order once, the simplest pattern first. */
function each(orders: readonly PatternOrder[], strips: readonly Wanting[]): readonly PatternOrder[] {
  const known = new Set<string>();
  return orders.filter(({ order }) => {
    const key = order.join();
    if (known.has(key) || order.length !== strips.length || !isPossible(order, strips)) return false;
    known.add(key);
    return true;
  });
}

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Vec } from '../../shared';
import { patternOrders, PATTERNS } from './orders';
import { patternSchedule } from './patternSchedule';
import { seen, type Wanting } from './places';

/**
 * A grid of strips pulled up the sheet (y runs down), `columns` lanes of `rows` strips from the lower end; the tab of
 * each lies on the one below it.
 */
const grid = (columns: number, rows: number): readonly Wanting[] =>
  Array.from({ length: columns * rows }, (_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    return {
      place: { at: [3 * column, -6 * row] as Vec, pull: [0, -1] as Vec, lengthCm: 6 },
      needs: row === 0 ? [] : [i - columns],
    };
  });

describe('what the eye sees', () => {
  it('is rows from the end where pulls start, lanes straight behind one another, one part', () => {
    const look = seen(grid(3, 2), 'needs', 'nearest');
    expect(look.map((s) => s.row)).toEqual([0, 0, 0, 1, 1, 1]);
    expect(new Set([0, 1, 2].map((i) => look[i]?.lane)).size).toBe(3);
    expect(look[3]?.lane).toBe(look[0]?.lane);
    expect(new Set(look.map((s) => s.part)).size).toBe(1);
    expect(seen(grid(3, 2), 'depth', 'nearest').map((s) => s.row)).toEqual([0, 0, 0, 1, 1, 1]);
  });
});

describe('the closed list of orders', () => {
  it('begins with rows, one beside the other', () => {
    const [first] = patternOrders(grid(3, 2));
    expect(first).toEqual({ name: 'rows', order: [0, 1, 2, 3, 4, 5] });
  });
  it('knows every other strip of a row, every other lane, and lanes that follow', () => {
    const has = (name: string, order: readonly number[]): boolean =>
      patternOrders(grid(4, 2)).some((o) => o.name === name && o.order.join() === order.join());
    expect(has('every-other', [0, 2, 1, 3, 4, 6, 5, 7])).toBe(true);
    expect(has('every-other-lane', [0, 2, 4, 6, 1, 3, 5, 7])).toBe(true);
    // lanes 0 and 2 lead, 1 and 3 follow a row behind
    const three = patternOrders(grid(4, 3)).filter((o) => o.name === 'lead-follow');
    expect(three.map((o) => o.order.join())).toContain([0, 2, 4, 6, 1, 3, 8, 10, 5, 7, 9, 11].join());
  });
  it('takes every strip once, after what must be off before it, and no order twice', () => {
    const strips = fc
      .array(
        fc.record({
          x: fc.double({ min: 0, max: 20, noNaN: true }),
          y: fc.double({ min: 0, max: 30, noNaN: true }),
          up: fc.boolean(),
          back: fc.integer({ min: 1, max: 4 }),
        }),
        { minLength: 1, maxLength: 16 },
      )
      .map((list): readonly Wanting[] =>
        list.map(({ x, y, up, back }, i) => ({
          place: { at: [x, y], pull: [0, up ? 1 : -1], lengthCm: 6 },
          needs: i % 3 === 0 || i < back ? [] : [i - back],
        })),
      );
    fc.assert(
      fc.property(strips, (list) => {
        const orders = patternOrders(list);
        expect(new Set(orders.map((o) => o.order.join())).size).toBe(orders.length);
        const wrong = orders.filter(({ order }) => {
          const at = new Map(order.map((i, k) => [i, k]));
          return (
            at.size !== list.length ||
            list.some((s, i) => s.needs.some((n) => (at.get(n) ?? NaN) >= (at.get(i) ?? NaN)))
          );
        });
        expect(wrong).toEqual([]);
      }),
      { seed: 6, numRuns: 100 },
    );
  });
});

describe('patternSchedule', () => {
  const job = (i: number, needs: readonly number[], side: 'left' | 'right' | null = null) => ({
    id: `s${i}`,
    side,
    layS: 10,
    coats: 1 as const,
    setMinS: 25,
    setMaxS: 110,
    pullS: 4,
    pressS: 3,
    needs,
    touches: [],
  });
  it('takes the simplest order that ends hardly later than the best one', () => {
    const strips = grid(3, 2);
    const jobs = strips.map((s, i) => job(i, s.needs));
    const sheet = { jobs: jobs.map((_, i) => i), places: strips.map((s) => s.place) };
    const found = patternSchedule({ jobs, maxOnSkin: 3, walkS: 6 }, [sheet]);
    expect(found?.name).toBe('rows');
    expect(found?.order).toHaveLength(6);
    expect(PATTERNS.indexOf('rows')).toBeLessThan(PATTERNS.indexOf('every-other'));
  });
  it('works a pair in the same numbers on both sides', () => {
    const strips = grid(2, 2);
    const jobs = [
      ...strips.map((s, i) => job(i, s.needs, 'left')),
      ...strips.map((s, i) =>
        job(
          4 + i,
          s.needs.map((n) => n + 4),
          'right',
        ),
      ),
    ];
    const places = strips.map((s) => s.place);
    const sheets = [
      { jobs: [0, 1, 2, 3], places },
      { jobs: [4, 5, 6, 7], places },
    ];
    const found = patternSchedule({ jobs, maxOnSkin: 3, walkS: 6 }, sheets);
    expect(found?.sides).not.toBeNull();
    const of = (from: number): readonly number[] =>
      (found?.order ?? []).filter((i) => i >= from && i < from + 4).map((i) => i - from);
    expect(of(0)).toEqual(of(4));
    expect(of(0)).toHaveLength(4);
  });
  it('has no answer where no order can be worked in time', () => {
    const jobs = [{ ...job(0, []), setMinS: 30, setMaxS: 20 }];
    const sheet = { jobs: [0], places: [{ at: [0, 0] as Vec, pull: [0, 1] as Vec, lengthCm: 5 }] };
    expect(patternSchedule({ jobs, maxOnSkin: 1, walkS: 6 }, [sheet])).toBeNull();
  });
});

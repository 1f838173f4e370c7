import { describe, expect, it } from 'vitest';
import type { Vec } from '../../shared';
import { levelLists } from './levels';
import type { Wanting } from './places';

/** Pulled up the sheet (y runs down), 6 cm long. */
const strip = (x: number, y: number, over: Partial<Wanting['place']> = {}): Wanting => ({
  place: { at: [x, y] as Vec, pull: [0, -1] as Vec, lengthCm: 6, ...over },
  needs: [],
});

describe('lists by levels', () => {
  it('go up from the tab end, from the left, the right, to and fro, outward and inward', () => {
    const upper = [0, 3, 6].map((x, k) => ({ ...strip(x, -6), needs: [k] }));
    const lists = levelLists([strip(0, 0), strip(3, 0), strip(6, 0), ...upper]);
    const orders = lists.map((l) => l.order.join(''));
    expect(new Set(orders).size).toBe(orders.length);
    expect(orders).toEqual(expect.arrayContaining(['012345', '210543', '012543', '102435', '021354']));
    expect(lists.every((l) => l.order.slice(0, 3).every((i) => i < 3))).toBe(true);
    expect(lists.find((l) => l.order.join('') === '012345')?.heights).toEqual([0, 0, 0, 1, 1, 1]);
  });

  it('take an earlier course first, wherever it lies', () => {
    const lists = levelLists([strip(0, 0, { course: 1 }), strip(3, -6)]);
    expect(lists.map((l) => l.order)).toEqual([[1, 0]]);
  });

  it('measure strips that are pulled the other way from their own end', () => {
    const lists = levelLists([
      strip(0, 0),
      strip(0, -6),
      strip(0, -20, { pull: [0, 1] }),
      strip(0, -14, { pull: [0, 1] }),
    ]);
    const height = new Map(lists[0]?.order.map((i, k) => [i, lists[0]?.heights[k]]));
    expect([0, 1, 2, 3].map((i) => height.get(i))).toEqual([0, 1, 0, 1]);
  });

  it('count heights in strips of the usual length, not of the longest or the first', () => {
    const lists = levelLists([strip(0, 0, { lengthCm: 12 }), strip(0, -6), strip(0, -12, { lengthCm: 3 })]);
    expect(lists[0]?.heights).toEqual([0, 1, 2]);
  });

  it('see rows by what must be off before on small ground only', () => {
    // a tall stack whose lowest strip has its tab on the one above: by needs the second comes first
    const stack = (count: number): readonly Wanting[] =>
      Array.from({ length: count }, (_, i) => ({ ...strip(0, -6 * i), needs: i === 0 ? [1] : [] }));
    const startsAt = (count: number): ReadonlySet<number | undefined> =>
      new Set(levelLists(stack(count)).map((l) => l.order[0]));
    expect(startsAt(14).has(1)).toBe(true);
    expect([...startsAt(15)]).toEqual([0]);
  });
});

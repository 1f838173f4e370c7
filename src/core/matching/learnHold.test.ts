import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Hair } from '../hair';
import { PRODUCT_BODIES, SHIPPED_PRODUCTS, type Product } from '../products';
import { seededRandom } from '../shared';
import { holdOf, learnHold, MOST_SHIFT, type ReadZone } from './learnHold';
import { leftShare, type RemovalInput } from './removal';

const hair: Hair = { lengthMm: 8, coarseness: 4, density: 3, curl: 1, history: 'regular', past: [] };
const input = (product: Product, holdShift: number): RemovalInput => ({
  product,
  way: product.family === 'sugar' ? 'moulded' : 'with',
  coats: 1,
  hair,
  shortestMm: 4,
  meanAngleErrorDeg: 5,
  roomC: 22,
  holdShift,
});

/** Readings of a studio whose products leave by `truth` more, read in steps of one per cent with some noise. */
function readIn(truth: Readonly<Record<string, number>>, zones: number, seed = 4): readonly ReadZone[] {
  const random = seededRandom(seed);
  return SHIPPED_PRODUCTS.flatMap((product) =>
    Array.from({ length: truth[product.body] === undefined ? 0 : zones }, (): ReadZone => {
      const real = leftShare(input(product, truth[product.body] ?? 0), 1);
      const seen = real * Math.exp(0.4 * random.normal());
      return {
        body: product.body,
        strips: random.whole(3, 12),
        passes: 1,
        expectedLeft: leftShare(input(product, 0), 1),
        plannedShift: 0,
        readLeft: Math.round(100 * seen) / 100,
      };
    }),
  );
}

describe('learnHold', () => {
  it('leaves everything as shipped where nothing was read', () => {
    expect(holdOf(learnHold([]))).toEqual({});
    expect(learnHold([]).film).toEqual({ shift: 0, strips: 0 });
  });
  it('finds what the products of a studio really leave, body by body, from many strips', () => {
    const truth = { film: 0.6, cream: -0.3, 'strip-wax': 0.3, 'soft-paste': 0.5 };
    const learned = learnHold(readIn(truth, 120));
    for (const body of ['film', 'cream', 'strip-wax', 'soft-paste'] as const) {
      expect(Math.abs(learned[body].shift - truth[body])).toBeLessThan(0.2);
      expect(learned[body].strips).toBeGreaterThan(300);
    }
  });
  it('hardly moves for a few strips, and moves further for more', () => {
    const few = learnHold(readIn({ film: 0.8 }, 1)).film;
    const some = learnHold(readIn({ film: 0.8 }, 6)).film;
    const many = learnHold(readIn({ film: 0.8 }, 80)).film;
    expect(few.shift).toBeLessThan(0.4 * 0.8);
    expect(some.shift).toBeGreaterThan(few.shift);
    expect(many.shift).toBeGreaterThan(some.shift);
    expect(many.shift).toBeLessThan(1);
  });
  it('lends a body that was never read a part of what the others say of the studio', () => {
    const learned = learnHold(readIn({ film: 0.8, cream: 0.8 }, 60));
    expect(learned['hard-paste'].strips).toBe(0);
    expect(learned['hard-paste'].shift).toBeGreaterThan(0.3);
    expect(learned['hard-paste'].shift).toBeLessThan(learned.film.shift);
  });
  it('counts what it was planned with: a plan that came true keeps its shift', () => {
    const product = SHIPPED_PRODUCTS[0];
    if (!product) throw new Error('film');
    const left = leftShare(input(product, 0.5), 1);
    const list = Array.from({ length: 200 }, (): ReadZone => ({
      body: 'film',
      strips: 8,
      passes: 1,
      expectedLeft: left,
      plannedShift: 0.5,
      readLeft: left,
    }));
    expect(learnHold(list).film.shift).toBeCloseTo(0.5, 1);
  });
  it('stays within its bounds whatever is read, and one wild reading among many is hardly heard', () => {
    const zone = fc.record({
      body: fc.constantFrom(...PRODUCT_BODIES),
      strips: fc.integer({ min: 1, max: 40 }),
      passes: fc.integer({ min: 1, max: 3 }),
      expectedLeft: fc.double({ min: 0, max: 1, noNaN: true }),
      plannedShift: fc.double({ min: -MOST_SHIFT, max: MOST_SHIFT, noNaN: true }),
      readLeft: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(zone, { maxLength: 30 }), (list) => {
        const shifts = Object.values(learnHold(list)).map((h) => Math.abs(h.shift));
        expect(Math.max(...shifts)).toBeLessThanOrEqual(MOST_SHIFT);
      }),
      { seed: 5, numRuns: 200 },
    );
    const calm = readIn({ film: 0 }, 60);
    const wild: ReadZone = { body: 'film', strips: 40, passes: 1, expectedLeft: 0.01, plannedShift: 0, readLeft: 1 };
    expect(Math.abs(learnHold([...calm, wild]).film.shift - learnHold(calm).film.shift)).toBeLessThan(0.05);
  });
});

describe('leftShare with what was learned', () => {
  it('rises with the shift, never leaves 0–1, and is as shipped at nought', () => {
    const products = fc.constantFrom(...SHIPPED_PRODUCTS);
    const shift = fc.double({ min: -MOST_SHIFT, max: MOST_SHIFT, noNaN: true });
    fc.assert(
      fc.property(products, shift, fc.integer({ min: 1, max: 3 }), (product, s, passes) => {
        const here = leftShare(input(product, s), passes);
        expect(here).toBeGreaterThan(0);
        expect(here).toBeLessThan(1);
        expect(leftShare(input(product, s + 0.1), passes)).toBeGreaterThan(here);
      }),
      { seed: 9, numRuns: 200 },
    );
    const film = SHIPPED_PRODUCTS[0];
    if (!film) throw new Error('film');
    expect(leftShare(input(film, 0), 1)).toBe(leftShare({ ...input(film, 0), holdShift: undefined }, 1));
  });
});

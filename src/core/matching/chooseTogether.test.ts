import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chooseTogether, type ZoneOptions } from './chooseTogether';
import type { Option } from './types';

/** A pot more costs this much score (engines: few pots hot). */
const POT = 0.06;

/** Only what the choice looks at. */
const option = (product: string, score: number, more: Partial<Option> = {}): Option =>
  ({ product: { id: product }, way: 'with', eligible: true, tier: 0, score, ...more }) as unknown as Option;

const zoneOf = (scores: readonly number[]): ZoneOptions => ({
  options: scores.map((s, i) => option(`p${i}`, s)).sort((a, b) => (b.score ?? 0) - (a.score ?? 0)),
  stopped: false,
});
const valueOf = (picks: readonly (Option | null)[]): number =>
  picks.reduce((sum, p) => sum + (p?.score ?? 0), 0) -
  POT * new Set(picks.flatMap((p) => (p ? [p.product.id] : []))).size;

/** Every way of giving each zone one product. */
function bestByHand(zones: readonly (readonly number[])[]): number {
  const products = zones[0]?.length ?? 0;
  let best = -Infinity;
  for (let code = 0; code < products ** zones.length; code++) {
    let rest = code;
    let value = 0;
    const used = new Set<number>();
    for (const scores of zones) {
      const p = rest % products;
      rest = Math.floor(rest / products);
      value += scores[p] ?? 0;
      used.add(p);
    }
    best = Math.max(best, value - POT * used.size);
  }
  return best;
}

describe('chooseTogether', () => {
  it('is as good as trying every product on every zone', () => {
    const score = fc.integer({ min: 0, max: 30 }).map((n) => n / 100);
    const visits = fc
      .tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }))
      .chain(([zones, products]) =>
        fc.array(fc.array(score, { minLength: products, maxLength: products }), { minLength: zones, maxLength: zones }),
      );
    let ran = 0;
    fc.assert(
      fc.property(visits, (zones) => {
        ran++;
        expect(valueOf(chooseTogether(zones.map(zoneOf)))).toBeCloseTo(bestByHand(zones), 9);
      }),
      { seed: 15, numRuns: 400 },
    );
    expect(ran).toBe(400);
  });
  it('comes to an end with a whole wholesaler on the shelf: 40 zones, 200 products', () => {
    const scores = Array.from({ length: 40 }, (_, z) =>
      Array.from({ length: 200 }, (_, p) => ((z * 7919 + p * 104_729) % 997) / 1000),
    );
    const picks = chooseTogether(scores.map(zoneOf));
    expect(picks.every((p) => p !== null)).toBe(true);
    const alone = valueOf(scores.map((s) => option(`p${s.indexOf(Math.max(...s))}`, Math.max(...s))));
    expect(valueOf(picks)).toBeGreaterThanOrEqual(alone);
  });
  it('among products that are alike takes the first, and one for all zones', () => {
    const zones = Array.from({ length: 6 }, () => zoneOf(Array.from({ length: 30 }, () => 0.5)));
    expect(chooseTogether(zones).map((o) => o?.product.id)).toEqual(['p0', 'p0', 'p0', 'p0', 'p0', 'p0']);
  });
  it('never takes a lower tier to save a pot, nor what is not eligible', () => {
    const strict: ZoneOptions = { options: [option('a', 0.1), option('b', 0.9, { tier: 1 })], stopped: false };
    const other: ZoneOptions = { options: [option('b', 0.9), option('a', 0.1, { eligible: false })], stopped: false };
    expect(chooseTogether([strict, other]).map((o) => o?.product.id)).toEqual(['a', 'b']);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ZoneId } from '../anatomy';
import { chooseTogether, type VisitChoice, type VisitZone } from './chooseTogether';
import type { Ranked } from './matchZone';

/** Minutes of a pot more and of a product more on a limb (engines: few pots hot, one product on a limb). */
const [POT, LIMB] = [4, 3];
const ZONES_OF: readonly ZoneId[] = ['lower-leg-front', 'forearm', 'thigh-front', 'hand', 'chin'];
const LEG: readonly ZoneId[] = ['lower-leg-front', 'thigh-front', 'knee'];
const ARM: readonly ZoneId[] = ['forearm', 'hand'];

/** Only what the choice looks at. */
const option = (product: string, cost: number, more: Partial<Ranked> = {}): Ranked =>
  ({
    product: { id: product },
    way: 'with',
    eligible: true,
    tier: 0,
    staysShare: 0,
    cost,
    ...more,
  }) as unknown as Ranked;

function zoneOf(zone: ZoneId, costs: readonly number[], more: Partial<VisitZone> = {}): VisitZone {
  const options = costs.map((c, i) => option(`p${i}`, c)).sort((a, b) => a.cost - b.cost);
  const best = options[0] ?? null;
  return {
    zone,
    side: 'left',
    stopped: false,
    match: { options, best, within: options, cheapest: best, decided: [], yielded: [] },
    ...more,
  };
}

const totalOf = (
  zones: readonly ZoneId[],
  picks: readonly { readonly product: string; readonly cost: number }[],
): number => {
  const more = (limb: readonly ZoneId[]): number =>
    Math.max(0, new Set(picks.flatMap((p, i) => (limb.includes(zones[i] ?? 'chin') ? [p.product] : []))).size - 1);
  return (
    picks.reduce((s, p) => s + p.cost, 0) +
    POT * new Set(picks.map((p) => p.product)).size +
    LIMB * (more(LEG) + more(ARM))
  );
};
const taken = (picks: readonly (VisitChoice | null)[]) =>
  picks.flatMap((p) => (p ? [{ product: p.option.product.id, cost: p.option.cost }] : []));

/** Every way of giving each zone one product that is at most a quarter or two minutes dearer than its own best. */
function bestByHand(zones: readonly ZoneId[], costs: readonly (readonly number[])[]): number {
  const products = costs[0]?.length ?? 0;
  let best = Infinity;
  for (let code = 0; code < products ** costs.length; code++) {
    let rest = code;
    const picks = costs.map((own) => {
      const p = rest % products;
      rest = Math.floor(rest / products);
      const least = Math.min(...own);
      const cost = own[p] ?? Infinity;
      return { product: `p${p}`, cost: cost <= Math.max(1.25 * least, least + 2) ? cost : Infinity };
    });
    best = Math.min(best, totalOf(zones, picks));
  }
  return best;
}

describe('chooseTogether', () => {
  it('is as good as trying every product on every zone', () => {
    const cost = fc.integer({ min: 20, max: 90 }).map((n) => n / 10);
    const visits = fc
      .tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }))
      .chain(([zones, products]) =>
        fc.array(fc.array(cost, { minLength: products, maxLength: products }), { minLength: zones, maxLength: zones }),
      );
    let ran = 0;
    fc.assert(
      fc.property(visits, (costs) => {
        ran++;
        const zones = ZONES_OF.slice(0, costs.length);
        const picks = chooseTogether(costs.map((c, i) => zoneOf(zones[i] ?? 'chin', c)));
        expect(totalOf(zones, taken(picks))).toBeCloseTo(bestByHand(zones, costs), 9);
      }),
      { seed: 15, numRuns: 400 },
    );
    expect(ran).toBe(400);
  });
  it('goes by the share where that is more than the two minutes: a quarter of a dear zone, not a minute more', () => {
    const pair = (dearer: number) =>
      taken(chooseTogether([zoneOf('chin', [40, dearer]), zoneOf('underarm', [90, 20])])).map((t) => t.product);
    // a pot is 4 minutes: one product for both is worth 3.9 of them here
    expect(pair(43.9)).toEqual(['p1', 'p1']);
    expect(pair(44.1)).toEqual(['p0', 'p1']);
    // two zones that save 8 minutes of pots between them stay within a quarter
    const three = (dearer: number) =>
      taken(
        chooseTogether([zoneOf('chin', [8, dearer]), zoneOf('underarm', [90, 8]), zoneOf('brow' as ZoneId, [90, 8])]),
      ).map((t) => t.product);
    expect(three(10)).toEqual(['p1', 'p1', 'p1']);
    expect(three(10.1)).toEqual(['p0', 'p1', 'p1']);
    expect(
      taken(chooseTogether([zoneOf('chin', [12, 14.9]), zoneOf('underarm', [90, 8])])).map((t) => t.product),
    ).toEqual(['p1', 'p1']);
  });
  it('obeys a way that is asked for, with any product, and of both together', () => {
    const ways = [option('p0', 5), option('p0', 6, { way: 'against' }), option('p1', 5.5, { way: 'against' })];
    const of = (force: VisitZone['force']) => {
      const base = zoneOf('chin', [5]);
      const [pick] = chooseTogether([{ ...base, force, match: { ...base.match, options: ways, within: ways } }]);
      return pick && [pick.option.product.id, pick.option.way, pick.moved];
    };
    expect(of({ way: 'against' })).toEqual(['p1', 'against', 'by-hand']);
    expect(of({ product: 'p0', way: 'against' })).toEqual(['p0', 'against', 'by-hand']);
    expect(of({ product: 'p0' })).toEqual(['p0', 'with', 'by-hand']);
    expect(of({ product: 'p1', way: 'with' })).toBeNull();
    expect(of(undefined)).toEqual(['p0', 'with', null]);
  });
  it('gives each side its own where nothing suits both, and widens to the worse tier before it does', () => {
    const side = (own: readonly Ranked[], all: readonly Ranked[], more: Partial<VisitZone>): VisitZone => {
      const best = own[0] ?? null;
      const match = { options: all, best, within: own, cheapest: best, decided: [], yielded: [] };
      return { zone: 'underarm', side: 'left', stopped: false, match, ...more };
    };
    const [a, b] = [option('p0', 5), option('p1', 5)];
    const apart = chooseTogether([side([a], [a], {}), side([b], [b], { side: 'right' })]);
    expect(taken(apart).map((t) => t.product)).toEqual(['p0', 'p1']);
    expect(apart.map((p) => p?.moved)).toEqual([null, null]);
    // p2 stands in a worse tier on the left and is what the right has: both take it
    const [worse, best] = [option('p2', 9, { tier: 1 }), option('p2', 6, { tier: 1 })];
    const both = chooseTogether([side([a], [a, worse], {}), side([best], [best], { side: 'right' })]);
    expect(taken(both).map((t) => t.product)).toEqual(['p2', 'p2']);
    expect(both.map((p) => p?.moved)).toEqual(['both-sides', null]);
    // not where one of them was chosen by hand
    const force = { product: 'p0' };
    const forced = chooseTogether([side([a], [a, worse], { force }), side([best], [best], { side: 'right' })]);
    expect(taken(forced).map((t) => t.product)).toEqual(['p0', 'p2']);
  });
  it('counts a change of product on its own limb alone: an arm’s wax is no change on the leg, nor on a chin', () => {
    // a pot that is open anyway: only the change on the limb speaks against the second product, and it is worth 3 min
    const products = (zone: ZoneId, dearer: number): readonly string[] =>
      taken(
        chooseTogether([
          ...[zoneOf('chin', [8, 90]), zoneOf('underarm', [90, 8])],
          ...[zoneOf('lower-leg-front', [8, 90]), zoneOf(zone, [8 + dearer, 8])],
        ]),
      ).map((t) => t.product);
    expect(products('thigh-front', 1.9)[3]).toBe('p0');
    expect(products('forearm', 1.9)[3]).toBe('p1');
    expect(products('upper-lip', 1.9)[3]).toBe('p1');
  });
  it('gives both sides the way that is cheaper for the two together, and each its first where they cost alike', () => {
    const side = (withCost: number, againstCost: number, more: Partial<VisitZone> = {}): VisitZone => {
      const ways = [option('p0', withCost), option('p0', againstCost, { way: 'against' })];
      const own = [...ways].sort((a, b) => a.cost - b.cost);
      const best = own[0] ?? null;
      const match = { options: own, best, within: own, cheapest: best, decided: [], yielded: [] };
      return { zone: 'underarm', side: 'left', stopped: false, match, ...more };
    };
    const ways = (a: VisitZone, b: VisitZone) => chooseTogether([a, b]).map((p) => [p?.option.way, p?.moved]);
    expect(ways(side(6, 7), side(8, 6.5, { side: 'right' }))).toEqual([
      ['against', 'both-sides'],
      ['against', null],
    ]);
    expect(ways(side(6, 7), side(7.2, 6.5, { side: 'right' }))).toEqual([
      ['with', null],
      ['with', 'both-sides'],
    ]);
    expect(ways(side(6, 7), side(7, 6, { side: 'right' }))).toEqual([
      ['with', null],
      ['with', 'both-sides'],
    ]);
  });
  it('widens to a worse tier only among what may be used, and no further than the worse of the two', () => {
    const side = (own: Ranked, all: readonly Ranked[], more: Partial<VisitZone> = {}): VisitZone => {
      const match = { options: all, best: own, within: [own], cheapest: own, decided: [], yielded: [] };
      return { zone: 'underarm', side: 'left', stopped: false, match, ...more };
    };
    const [a, b] = [option('p0', 5), option('p1', 5)];
    const products = (extra: Partial<Ranked>) => {
      const all = [a, option('p1', 9, extra)];
      return taken(chooseTogether([side(a, all), side(b, [b], { side: 'right' })])).map((t) => t.product);
    };
    expect(products({})).toEqual(['p1', 'p1']);
    expect(products({ tier: 1 })).toEqual(['p0', 'p1']);
    expect(products({ eligible: false })).toEqual(['p0', 'p1']);
  });
  it('says one pot only of a zone that gave way to it', () => {
    const [chin, arm] = chooseTogether([zoneOf('chin', [5, 6]), zoneOf('underarm', [90, 5])]);
    expect([chin?.moved, arm?.moved]).toEqual(['one-pot', null]);
    expect(chin?.option.product.id).toBe('p1');
  });
  it('comes to an end with a whole wholesaler on the shelf: 28 zones, 60 products', () => {
    const zones = Array.from({ length: 28 }, (_, z) =>
      zoneOf(
        `z${z}` as ZoneId,
        Array.from({ length: 60 }, (_, p) => 4 + ((z * 7919 + p * 104_729) % 997) / 100),
      ),
    );
    const picks = chooseTogether(zones);
    expect(picks.every((p) => p !== null)).toBe(true);
    const alone = zones.map((z) => ({ product: z.match.best?.product.id ?? '', cost: z.match.best?.cost ?? 0 }));
    const ids = zones.map((z) => z.zone);
    expect(totalOf(ids, taken(picks))).toBeLessThanOrEqual(totalOf(ids, alone));
  });
  it('gives both sides one product and way, and says so where one alone would have had another', () => {
    const [left, right] = chooseTogether([
      zoneOf('underarm', [6, 6.5]),
      zoneOf('underarm', [7, 6.2], { side: 'right' }),
    ]);
    expect([left?.option.product.id, right?.option.product.id]).toEqual(['p1', 'p1']);
    expect([left?.moved, right?.moved]).toEqual(['both-sides', null]);
  });
  it('works one limb with one product, two of them only where it is worth both the pot and the change', () => {
    const near = chooseTogether([zoneOf('lower-leg-front', [8, 9]), zoneOf('thigh-front', [9, 8])]);
    expect(new Set(taken(near).map((t) => t.product)).size).toBe(1);
    const far = chooseTogether([zoneOf('lower-leg-front', [8, 40]), zoneOf('thigh-front', [40, 8])]);
    expect(taken(far).map((t) => t.product)).toEqual(['p0', 'p1']);
  });
  it('never leaves a zone’s tier or more hair behind to save a pot, nor takes what is not eligible', () => {
    const strict = zoneOf('chin', [6]);
    const clean = option('p1', 5.5, { staysShare: 0.02 });
    const withDirty = {
      ...strict,
      match: { ...strict.match, options: [...strict.match.options, clean], within: [...strict.match.within, clean] },
    };
    const other = zoneOf('underarm', [Infinity, 5]);
    const [chin] = chooseTogether([withDirty, { ...other, match: { ...other.match, within: [option('p1', 5)] } }]);
    expect(chin?.option.product.id).toBe('p0');
  });
  it('chooses nothing for a stopped zone and obeys what is forced', () => {
    const [none, forced] = chooseTogether([
      zoneOf('chin', [5, 6], { stopped: true }),
      zoneOf('underarm', [5, 60], { force: { product: 'p1' } }),
    ]);
    expect(none).toBeNull();
    expect(forced).toMatchObject({ moved: 'by-hand', option: { product: { id: 'p1' } } });
    expect(chooseTogether([])).toEqual([]);
  });
});

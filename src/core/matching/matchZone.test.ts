import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import type { Hair } from '../hair';
import { SHIPPED_PRODUCTS, type Way } from '../products';
import { matchOptions } from './matchZone';
import type { MatchInput } from './matchInput';
import { SHIPPED_PREFERENCES, type Preferences } from './preferences';
import type { Option } from './types';

const hair: Hair = { lengthMm: 8, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] };
const NO_WISH: Preferences = {
  ...{ coarseHard: false, fineSoft: false, reactiveMild: false, ingrownSugar: false, worked: false, plainLay: false },
  ...{ first: 'none', favourites: {} },
};
/** Only what the choice looks at; nobody prefers anything. */
const usual = {
  ...{ zone: ZONES.underarm, hair, sensitivity: 3, ingrownProne: false, hairAreaCm2: 90, preferences: NO_WISH },
} as unknown as MatchInput;
const asked = (preferences: Partial<Preferences>, more: Partial<MatchInput> = {}): MatchInput => ({
  ...usual,
  ...more,
  preferences: { ...NO_WISH, ...preferences },
});

const option = (id: string, cost: number, more: Partial<Option> = {}): Option => {
  const product = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!product) throw new Error(id);
  const rest = { way: 'with' as Way, eligible: true, excludedBy: [], staysShare: 0, cost };
  return { product, family: product.family, ...rest, ...more } as unknown as Option;
};
const named = (o: { readonly product: { readonly id: string }; readonly way: string } | null | undefined) =>
  o ? `${o.product.id} ${o.way}` : null;
const decidedBy = (of: ReturnType<typeof matchOptions>) => of.decided.map((d) => [d.code, named(d.instead)]);

describe('the choice among options', () => {
  it('is the cheapest that may be used; the list goes by cost, what is excluded comes last as in the catalogue', () => {
    const out = { eligible: false, excludedBy: ['zone.family-never'] };
    const all = [
      ...[option('film-hard', 1, out), option('soft', 30), option('sugar-soft', 20)],
      ...[option('cream-hard', 12), option('sugar-hard', 25), option('sugar-firm', 9, out)],
    ];
    const made = matchOptions(usual, all);
    expect(made.options.map((o) => o.product.id)).toEqual([
      ...['cream-hard', 'sugar-soft', 'sugar-hard', 'soft'],
      ...['film-hard', 'sugar-firm'],
    ]);
    expect([named(made.best), named(made.cheapest)]).toEqual(['cream-hard with', 'cream-hard with']);
    expect([made.decided, made.yielded]).toEqual([[], []]);
    expect(made.options.map((o) => o.tier)).toEqual([0, 0, 0, 0, 2, 2]);
  });
  it('is nothing where nothing may be used', () => {
    const made = matchOptions(usual, [option('soft', 20, { eligible: false })]);
    expect([made.best, made.cheapest, made.within, made.decided]).toEqual([null, null, [], []]);
  });
  it('takes the first of two that cost the same', () => {
    expect(named(matchOptions(usual, [option('soft', 20), option('film-hard', 20)]).best)).toBe('soft with');
  });
  it('leaves out what leaves over a point more behind than the cleanest that may be used', () => {
    const all = [
      option('soft', 5, { staysShare: 0.031 }),
      option('film-hard', 30, { staysShare: 0.02 }),
      option('cream-hard', 20, { staysShare: 0.0299 }),
      option('sugar-firm', 1, { staysShare: 0, eligible: false }),
    ];
    const made = matchOptions(usual, all);
    expect(named(made.best)).toBe('cream-hard with');
    expect(made.options.map((o) => [named(o), o.tier])).toEqual([
      ['cream-hard with', 0],
      ['film-hard with', 0],
      ['soft with', 1],
      ['sugar-firm with', 2],
    ]);
    // one that is against a strict preference does not set the measure
    const reactive = asked({ reactiveMild: true }, { sensitivity: 4 });
    const clean = [option('soft', 5), option('film-hard', 30, { staysShare: 0.02 })];
    expect(matchOptions(reactive, clean).options.map((o) => [named(o), o.tier])).toEqual([
      ['film-hard with', 0],
      ['soft with', 2],
    ]);
  });
  it('goes to what a strict preference speaks against only where nothing else holds', () => {
    const reactive = asked({ reactiveMild: true }, { sensitivity: 4 });
    expect(named(matchOptions(reactive, [option('soft', 5), option('cream-hard', 90)]).best)).toBe('cream-hard with');
    expect(named(matchOptions(reactive, [option('soft', 5)]).best)).toBe('soft with');
  });
});

describe('preferences', () => {
  const coarse = { hair: { ...hair, coarseness: 5 } };
  it('move the choice as long as they cost at most a quarter more, and are named with what they moved it from', () => {
    const input = asked({ coarseHard: true }, coarse);
    const made = matchOptions(input, [option('soft', 20), option('cream-hard', 25)]);
    expect([named(made.best), named(made.cheapest)]).toEqual(['cream-hard with', 'soft with']);
    expect(decidedBy(made)).toEqual([['coarse.hard', 'soft with']]);
    expect(made.within.map(named)).toEqual(['cream-hard with']);
    expect(made.best?.preferred).toEqual(['coarse.hard']);
    expect(made.yielded).toEqual([]);
  });
  it('yield beyond that, and say what they would have taken', () => {
    const made = matchOptions(asked({ coarseHard: true }, coarse), [option('soft', 20), option('cream-hard', 25.1)]);
    expect(named(made.best)).toBe('soft with');
    expect(made.yielded.map((y) => [y.code, named(y.option)])).toEqual([['coarse.hard', 'cream-hard with']]);
    expect(made.decided).toEqual([]);
  });
  it('count together: the quarter is over the cheapest, not over what one before has chosen', () => {
    const input = asked({ coarseHard: true, favourites: { underarm: 'cream-hard' } }, coarse);
    const all = [option('soft', 20), option('film-hard', 24), option('cream-hard', 26)];
    const made = matchOptions(input, all);
    expect(named(made.best)).toBe('film-hard with');
    expect(made.yielded.map((y) => y.code)).toEqual(['house.favourite']);
    expect(decidedBy(made)).toEqual([['coarse.hard', 'soft with']]);
  });
  it('are named each where each decides, and the first that moved where two ask for the same', () => {
    const both = asked({ coarseHard: true, first: 'wax' }, coarse);
    const same = matchOptions(both, [option('sugar-firm', 20), option('cream-hard', 24)]);
    expect(named(same.best)).toBe('cream-hard with');
    expect(decidedBy(same)).toEqual([['coarse.hard', 'sugar-firm with']]);
    const two = matchOptions(both, [option('sugar-firm', 20), option('soft', 22), option('cream-hard', 24)]);
    expect(decidedBy(two)).toEqual([['coarse.hard', 'soft with']]);
    const worked = asked({ worked: true, first: 'wax' }, { worked: { product: 'cream-hard' } });
    const each = matchOptions(worked, [option('sugar-firm', 20), option('soft', 22), option('cream-hard', 24)]);
    expect(decidedBy(each)).toEqual([['client.worked', 'soft with']]);
  });
  it('say nothing where the cheapest is what they ask for, or everything is', () => {
    const input = asked({ coarseHard: true }, coarse);
    expect(matchOptions(input, [option('soft', 30), option('cream-hard', 20)]).decided).toEqual([]);
    const all = matchOptions(input, [option('film-hard', 30), option('cream-hard', 20)]);
    expect([all.decided, all.within.length]).toEqual([[], 2]);
    // one that nothing on the shelf meets is passed over
    const none = matchOptions(input, [option('soft', 30), option('sugar-firm', 20)]);
    expect([named(none.best), none.yielded]).toEqual(['sugar-firm with', []]);
  });
  it('stay within the tier: what leaves too much behind is not preferred', () => {
    const all = [option('soft', 20), option('cream-hard', 21, { staysShare: 0.05 })];
    const made = matchOptions(asked({ coarseHard: true }, coarse), all);
    expect([named(made.best), made.yielded]).toEqual(['soft with', []]);
  });
});

describe('the plain lay', () => {
  const crossed = (id: string, cost: number): Option => option(id, cost, { way: 'crossed' });
  it('goes before the crossed one within 3 %', () => {
    const near = matchOptions(usual, [crossed('soft', 20), option('sugar-firm', 20.6)]);
    expect(named(near.best)).toBe('sugar-firm with');
    const far = matchOptions(usual, [crossed('soft', 20), option('sugar-firm', 20.7)]);
    expect(named(far.best)).toBe('soft crossed');
    expect(named(matchOptions(usual, [crossed('soft', 20)]).best)).toBe('soft crossed');
  });
  it('keeps the crossed one back while plain hard wax holds as well, and is named for it', () => {
    const all = [crossed('film-hard', 10), option('film-hard', 16), option('soft', 18)];
    const made = matchOptions(asked({ plainLay: true }), all);
    expect(named(made.best)).toBe('film-hard with');
    expect(made.options.map((o) => [named(o), o.tier])).toEqual([
      ['film-hard with', 0],
      ['soft with', 0],
      ['film-hard crossed', 1],
    ]);
    expect(decidedBy(made)).toEqual([['plain.lay', 'film-hard crossed']]);
    // of two that are kept back the one that would have been chosen is named
    const two = matchOptions(asked({ plainLay: true }), [crossed('soft', 12), ...all]);
    expect(decidedBy(two)).toEqual([['plain.lay', 'film-hard crossed']]);
    // with the switch off, or on hair that stands across, the crossed lay goes by its cost as any other
    expect(named(matchOptions(usual, all).best)).toBe('film-hard crossed');
    const flat = asked({ plainLay: true }, { hair: { ...hair, flags: ['flat'] } });
    expect([named(matchOptions(flat, all).best), matchOptions(flat, all).decided]).toEqual(['film-hard crossed', []]);
  });
  it('does not keep it back where no plain hard wax is as clean', () => {
    const all = [crossed('film-hard', 10), option('film-hard', 16, { staysShare: 0.02 }), option('soft', 18)];
    expect(named(matchOptions(asked({ plainLay: true }), all).best)).toBe('film-hard crossed');
  });
  it('is not named where the crossed one would not have been chosen either', () => {
    const all = [crossed('film-hard', 17), option('film-hard', 16), option('soft', 18)];
    expect(matchOptions(asked({ plainLay: true }), all).decided).toEqual([]);
    expect(SHIPPED_PREFERENCES.plainLay).toBe(true);
  });
});

import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import type { Hair } from '../hair';
import { SHIPPED_PRODUCTS } from '../products';
import type { ZoneJudgement } from '../screening';
import { daysBetween, recaller } from '../shared';
import type { MatchInput } from './matchInput';
import { evaluateAll } from './evaluate';
import { matchOptions, matchZone } from './matchZone';
import type { Preferences } from './preferences';
import type { Option } from './types';
import { whatElse } from './whatElse';

const hair: Hair = { lengthMm: 8, coarseness: 5, density: 3, curl: 1, history: 'regular', past: [] };
const free: ZoneJudgement = {
  ...{ outcome: 'go', familiesOut: [], allergensOut: [], lowerHeatK: 0 },
  ...{ onePass: false, pressS: 0, smallStrips: false, nothingNew: false },
};
const usual: MatchInput = {
  ...{ on: '2027-05-14', zone: ZONES.underarm, hair, sensitivity: 3, skin: 'normal', ingrownProne: false, roomC: 22 },
  schools: {
    ...{ hardLay: 'with', shortHair: 'crossed', maxHardPasses: 2, prep: 'powder' },
    families: ['hard', 'soft', 'sugar'],
  },
  ...{ judgement: free, products: SHIPPED_PRODUCTS, hairAreaCm2: 90, hairsPerCm2: ZONES.underarm.hairsPerCm2 },
  ...{ rateMmPerDay: 0.3, windows: recaller(900), heats: recaller(900), coats: recaller(900) },
  stripFacts: () => ({ strips: 6, scheduleS: 120, massG: 20, meanAngleErrorDeg: 3 }),
};
const else_ = (more: Partial<MatchInput> = {}) => {
  const input = { ...usual, ...more };
  return { match: matchZone(input), found: whatElse(input, evaluateAll(input), matchZone(input)) };
};

describe('what would suit better', () => {
  it('is nothing where today’s choice is the best there is', () => {
    expect(else_().found).toEqual([]);
  });
  it('is hard wax for coarse hair once it is long enough, on a day on which that is the choice of all', () => {
    const short = { ...hair, lengthMm: 2.2 };
    const { match, found } = else_({ hair: short });
    expect(match.best?.family).toBe('sugar');
    expect(found).toMatchObject([{ kind: 'later', afterPatchTest: false, option: { family: 'hard' } }]);
    const [one] = found;
    expect(one?.against?.product.id).toBe(match.best?.product.id);
    // told by the match itself on the hair of that day: hard wax, not the sugar of today
    const days = daysBetween(usual.on, one?.fromOn ?? usual.on);
    const then = matchZone({ ...usual, hair: { ...hair, lengthMm: 2.2 + 0.3 * days } });
    expect(then.best?.family).toBe('hard');
    const same = (o: { product: { id: string }; way: string }) =>
      o.product.id === one?.option.product.id && o.way === one.option.way;
    expect(then.options.find(same)?.eligible).toBe(true);
    const ready = match.options.find(same)?.readyOn ?? '';
    expect([0, 3, 7, 14]).toContain(daysBetween(ready, one?.fromOn ?? ''));
  });
  it('takes the mixed lengths with it as they grow', () => {
    const mixed = { ...hair, lengthMm: 3, shortestMm: 2.2, longestMm: 4 };
    const { found } = else_({ hair: mixed });
    expect(found).toMatchObject([{ kind: 'later', option: { family: 'hard' } }]);
    expect(found[0]?.option.workableShare).toBeGreaterThan(0.7);
  });
  it('is a product new to this skin, two days after at the earliest, said as such', () => {
    const judgement = { ...free, nothingNew: true };
    const { match, found } = else_({ knownProducts: ['soft', 'sugar-firm'], judgement });
    expect(match.best?.family).not.toBe('hard');
    expect(found).toMatchObject([
      { kind: 'later', afterPatchTest: true, fromOn: '2027-05-16', option: { family: 'hard' } },
    ]);
  });
  it('is a family that the studio does not work with, and no day is named; beside what is later where both are', () => {
    const schools = { ...usual.schools, families: ['soft', 'sugar'] as const };
    expect(else_({ schools }).found).toMatchObject([
      { kind: 'other-family', fromOn: null, afterPatchTest: false, option: { family: 'hard', eligible: true } },
    ]);
    // what waits for two things of different kinds is neither
    const both = else_({ schools, hair: { ...hair, lengthMm: 2.2 } });
    expect(both.found.map((f) => f.option.family)).not.toContain('hard');
  });
  it('never is what safety excludes', () => {
    const { found } = else_({
      reactedTo: ['film-hard', 'cream-hard'],
      schools: { ...usual.schools, families: ['soft', 'sugar'] },
    });
    expect(found.map((f) => f.option.family)).not.toContain('hard');
    const rosin = else_({ judgement: { ...free, familiesOut: ['hard'] } });
    expect(rosin.found.map((f) => f.option.family)).not.toContain('hard');
  });
});

describe('a family that the house leaves out', () => {
  const NO_WISH: Preferences = {
    ...{ coarseHard: false, fineSoft: false, reactiveMild: false, ingrownSugar: false, worked: false },
    ...{ plainLay: false, first: 'none', favourites: {} },
  };
  /** By the figures that are compared; the rest of an option is not read here. */
  const option = (id: string, cost: number, more: Partial<Option> = {}): Option => {
    const product = SHIPPED_PRODUCTS.find((p) => p.id === id);
    if (!product) throw new Error(id);
    const rest = { way: 'with', eligible: true, excludedBy: [], staysShare: 0, cost };
    return { product, family: product.family, ...rest, ...more } as unknown as Option;
  };
  const left = { eligible: false, excludedBy: ['studio.family'] };
  const said = (all: readonly Option[], more: Partial<MatchInput> = {}) => {
    const input = { ...usual, preferences: NO_WISH, ...more };
    return whatElse(input, all, matchOptions(input, all)).map((w) => [
      ...[w.kind, w.option.product.id, w.option.way, w.against?.product.id ?? null, w.fromOn, w.afterPatchTest],
    ]);
  };
  it('is named where it saves a twentieth and more, beside what is chosen now', () => {
    expect(said([option('cream-hard', 20), option('soft', 18.9, left)])).toEqual([
      ['other-family', 'soft', 'with', 'cream-hard', null, false],
    ]);
    expect(said([option('cream-hard', 20), option('soft', 19.1, left)])).toEqual([]);
    expect(said([option('cream-hard', 20), option('soft', 30, left)])).toEqual([]);
  });
  it('is named where nothing at all can be used now', () => {
    expect(said([option('soft', 90, left)])).toEqual([['other-family', 'soft', 'with', null, null, false]]);
  });
  it('is named for a preference that it meets, and for being cleaner, whatever little it saves', () => {
    const coarse = { preferences: { ...NO_WISH, coarseHard: true } };
    expect(said([option('soft', 20), option('cream-hard', 22, left)], coarse)).toEqual([
      ['other-family', 'cream-hard', 'with', 'soft', null, false],
    ]);
    const dirty = option('sugar-firm', 20, { staysShare: 0.05 });
    expect(said([dirty, option('soft', 25, left)])).toEqual([
      ['other-family', 'soft', 'with', 'sugar-firm', null, false],
    ]);
  });
  it('is the cheapest of them, in its own way of working', () => {
    const crossed = { ...left, way: 'crossed' as const };
    const all = [option('cream-hard', 40), option('soft', 30, left), option('sugar-firm', 20, left)];
    expect(said(all)).toEqual([['other-family', 'sugar-firm', 'with', 'cream-hard', null, false]]);
    const ways = [option('cream-hard', 40), option('film-hard', 20, crossed), option('film-hard', 30, left)];
    expect(said(ways)).toEqual([['other-family', 'film-hard', 'crossed', 'cream-hard', null, false]]);
  });
  it('is not what anything else speaks against too, nor what may be used anyway', () => {
    const never = { eligible: false, excludedBy: ['studio.family', 'zone.family-never'] };
    expect(said([option('cream-hard', 40), option('soft', 10, never)])).toEqual([]);
    expect(said([option('cream-hard', 40), option('soft', 10)])).toEqual([]);
  });
});

import { describe, expect, it } from 'vitest';
import { ZONES } from '../anatomy';
import type { Hair } from '../hair';
import { mannerOf, SHIPPED_PRODUCTS, waysOf, type Product, type Way } from '../products';
import { daysBetween, recaller } from '../shared';
import { evaluate, evaluateAll, passLimit } from './evaluate';
import type { MatchInput } from './matchInput';
import type { Option, StripFacts } from './types';

const hair: Hair = { lengthMm: 8, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] };
const FACTS: StripFacts = { strips: 6, scheduleS: 120, massG: 20, meanAngleErrorDeg: 3 };
/** No hair at all beside what is named: figures stay those of the strips. */
const usual: MatchInput = {
  ...{ on: '2027-05-14', zone: ZONES.underarm, hair, sensitivity: 3, skin: 'normal', ingrownProne: false, roomC: 22 },
  schools: {
    ...{ hardLay: 'with', shortHair: 'crossed', maxHardPasses: 2, prep: 'powder' },
    families: ['hard', 'soft', 'sugar'],
  },
  judgement: {
    ...{ outcome: 'go', familiesOut: [], allergensOut: [], lowerHeatK: 0 },
    ...{ onePass: false, pressS: 0, smallStrips: false, nothingNew: false },
  },
  ...{ products: SHIPPED_PRODUCTS, hairAreaCm2: 90, hairsPerCm2: 0, rateMmPerDay: 0.3 },
  ...{ windows: recaller(300), heats: recaller(300), coats: recaller(300) },
  stripFacts: () => FACTS,
};
const product = (id: string): Product => {
  const found = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!found) throw new Error(id);
  return found;
};
function one(id: string, way: Way = 'with', more: Partial<MatchInput> = {}): Option {
  const of = product(id);
  const manner = mannerOf(of, way);
  if (!manner) throw new Error(way);
  return evaluate({ ...usual, ...more }, of, way, manner);
}

describe('most passes of a product', () => {
  const limit = (id: string, more: Partial<MatchInput> = {}): number => passLimit({ ...usual, ...more }, product(id));
  const schools = (maxHardPasses: number) => ({ schools: { ...usual.schools, maxHardPasses } });
  it('are the house’s of hard wax, as far as the product bears them, and one of soft', () => {
    expect([limit('cream-hard'), limit('cream-hard', schools(1)), limit('soft'), limit('soft', schools(3))]).toEqual([
      2, 1, 1, 1,
    ]);
    expect(limit('cream-hard', schools(9))).toBe(product('cream-hard').passes.max);
    const thrice = { ...product('cream-hard'), passes: { ...product('cream-hard').passes, max: 3 } };
    expect([passLimit({ ...usual, ...schools(9) }, thrice), passLimit({ ...usual, ...schools(2) }, thrice)]).toEqual([
      3, 2,
    ]);
  });
  it('are two on the face, and one where the screening says so', () => {
    const thrice = { ...product('cream-hard'), passes: { ...product('cream-hard').passes, max: 3 } };
    expect(passLimit({ ...usual, ...schools(3), zone: ZONES.chin }, thrice)).toBe(2);
    expect(limit('cream-hard', { judgement: { ...usual.judgement, onePass: true } })).toBe(1);
  });
});

describe('the figures of an option', () => {
  it('without a hair are those of its strips: two minutes, their grams and price, one ground', () => {
    const made = one('cream-hard');
    expect([made.tableMinutes, made.allMinutes, made.laterS, made.ground, made.passes]).toEqual([2, 2, 0, 1, 1]);
    expect([made.massG, made.strips, made.tweezed, made.leftHairs, made.staysShare]).toEqual([20, 6, 0, 0, 0]);
    // 20 g of the kilo's price, to the next minor unit
    expect(made.costMinor).toBe(Math.ceil((20 * product('cream-hard').priceMinorPerKg) / 1000));
    expect([made.parts.minutes, made.parts.left, made.parts.tweezed]).toEqual([2, 0, 0]);
    // nothing to count: what its hold promises
    expect(made.removedShare).toBeGreaterThan(0.9);
    expect(made.removedShare).toBeLessThan(1);
    expect([made.eligible, made.excludedBy, made.readyOn, made.trimFirst]).toEqual([true, [], null, false]);
    // the target lies within the window, so it is felt below the limit, and not by much
    expect(made.feltMarginK).toBeGreaterThan(0);
    expect(made.feltMarginK).toBeLessThan(3);
  });
  it('take 15 % more time for the second stroke of a crossed lay', () => {
    expect(one('film-hard', 'crossed').allMinutes).toBeCloseTo(2.3, 9);
    expect(one('film-hard', 'crossed').tableMinutes).toBeCloseTo(2.3, 9);
  });
  it('count a second pass with a quarter minute to begin it and the ground it goes over', () => {
    // hair in layers shows the next only when the first is off
    const layers = one('cream-hard', 'with', { hair: { ...hair, flags: ['layers'] } });
    expect([layers.passes, layers.ground, layers.laterS]).toEqual([2, 1, 15]);
    expect([layers.tableMinutes, layers.allMinutes]).toEqual([2, 2.25]);
    const much = one('cream-hard', 'with', { hairsPerCm2: 40, hair: { ...hair, coarseness: 5, flags: ['layers'] } });
    expect(much.ground).toBeGreaterThan(1);
    expect(much.laterS).toBeCloseTo(15 + 120 * (much.ground - 1), 9);
    expect(much.massG).toBeCloseTo(20 * much.ground, 9);
    // more ground, more wax to pay
    expect(much.costMinor).toBeGreaterThan(layers.costMinor);
    // soft wax never, whatever the hair
    expect(one('soft', 'with', { hair: { ...hair, flags: ['layers'] } }).passes).toBe(1);
  });
  it('take one pass where skin that was just waxed leaves no working heat', () => {
    const layers = { hair: { ...hair, flags: ['layers'] as const }, sensitivity: 5 };
    expect(one('cream-hard', 'with', layers).passes).toBe(1);
    expect(one('film-hard', 'with', layers).passes).toBe(2);
  });
  it('tweeze what stands along a line, three seconds a hair, up to what is tweezed at all', () => {
    const line = one('cream-hard', 'with', { lineHairs: 12 });
    expect([line.tweezed, line.leftHairs]).toEqual([12, 12]);
    expect(line.allMinutes).toBeCloseTo(2 + 12 / 20, 9);
    expect(line.parts.tweezed).toBeCloseTo(0.6, 9);
    expect(one('cream-hard', 'with', { lineHairs: 50 }).tweezed).toBe(30);
    expect(one('cream-hard', 'with', { lineHairs: 50, zone: ZONES.chin }).tweezed).toBe(40);
    const own = { faceMax: 5, bodyMax: 7, rest: 'stay' } as const;
    expect(one('cream-hard', 'with', { lineHairs: 50, leftovers: own }).tweezed).toBe(7);
    expect(one('cream-hard', 'with', { lineHairs: 50, leftovers: own, zone: ZONES.chin }).tweezed).toBe(5);
    // they are of the zone's hairs, not beside them: 90 cm² with one hair each
    const of90 = one('cream-hard', 'with', { lineHairs: 90, hairsPerCm2: 1 });
    expect([of90.leftHairs, of90.tweezed]).toEqual([90, 30]);
  });
  it('say what comes off as what is not left', () => {
    const made = one('cream-hard', 'with', { hairsPerCm2: 40, leftovers: { faceMax: 0, bodyMax: 0, rest: 'stay' } });
    const left = made.leftHairs / (90 * 40);
    expect(made.removedShare).toBeCloseTo(1 - left, 9);
    expect(made.staysShare).toBeCloseTo(left, 3);
    expect(made.removedShare).toBeGreaterThan(0.9);
  });
  it('lay film in two coats from coarseness 4 on, nothing else', () => {
    const coats = (id: string, coarseness: 3 | 4): number => one(id, 'with', { hair: { ...hair, coarseness } }).coats;
    expect([coats('film-hard', 3), coats('film-hard', 4), coats('cream-hard', 4), coats('soft', 4)]).toEqual([
      1, 2, 1, 1,
    ]);
    expect(one('film-hard', 'with', { hair: { ...hair, coarseness: 4 } }).rest).not.toBeNull();
    expect(one('film-hard').rest).toBeNull();
  });
  it('ask for the strips of the slab that will be laid', () => {
    const seen: { readonly id: string; readonly way: Way; readonly coats: number; readonly mm: number }[] = [];
    const stripFacts: MatchInput['stripFacts'] = (of, way, { coats, thicknessMm }) => {
      seen.push({ id: of.id, way, coats, mm: thicknessMm });
      return FACTS;
    };
    const made = one('film-hard', 'with', { stripFacts, hair: { ...hair, coarseness: 4 } });
    expect(seen).toEqual([{ id: 'film-hard', way: 'with', coats: 2, mm: made.window.thicknessMm }]);
  });
  it('are counted with what this studio’s own strips have taught of the hold', () => {
    expect(one('film-hard').holdShift).toBe(0);
    const taught = { hold: { [product('film-hard').body]: 0.4 } } as Pick<MatchInput, 'hold'>;
    expect(one('film-hard', 'with', taught).holdShift).toBe(0.4);
    expect(one('cream-hard', 'with', taught).holdShift).toBe(0);
    const hairy = { hairsPerCm2: 40, leftovers: { faceMax: 0, bodyMax: 0, rest: 'stay' } } as const;
    expect(one('film-hard', 'with', { ...taught, ...hairy }).removedShare).toBeLessThan(
      one('film-hard', 'with', hairy).removedShare,
    );
  });
  it('give the day on which hair that is too short will do', () => {
    const short = { hair: { ...hair, lengthMm: 3 } };
    const days = (rateMmPerDay: number): number =>
      daysBetween('2027-05-14', one('soft', 'with', { ...short, rateMmPerDay }).readyOn ?? '2027-05-14');
    expect(one('soft', 'with', short).eligible).toBe(false);
    expect(days(0.3)).toBeGreaterThan(5);
    expect(days(0.3)).toBeLessThan(20);
    // twice as fast, half the days, to the day that is begun
    expect(days(0.6)).toBe(Math.ceil(days(0.3) / 2));
    // what never grows is never ready
    expect(one('soft', 'with', { ...short, rateMmPerDay: 0 }).readyOn).toBeNull();
  });
  it('want a stiffer paste in a warm room, and one more degree of it on skin that is not tender', () => {
    const codes = (roomC: number, sensitivity: number, id: string): readonly string[] =>
      one(id, 'moulded', { roomC, sensitivity }).excludedBy.filter((c) => c.startsWith('room.'));
    const firstSlack = (sensitivity: number): number =>
      Array.from({ length: 60 }, (_, k) => 22 + 0.5 * k).find((c) => codes(c, sensitivity, 'sugar-soft').length > 0) ??
      NaN;
    // a degree wanted less is 3.3 °C of the room
    expect(firstSlack(4) - firstSlack(3)).toBeGreaterThan(2.5);
    expect(firstSlack(4) - firstSlack(3)).toBeLessThan(4);
  });
});

describe('every option', () => {
  it('is every product in every way it can be worked, in the order of the catalogue', () => {
    const made = evaluateAll(usual);
    expect(made.map((o) => `${o.product.id} ${o.way}`)).toEqual(
      SHIPPED_PRODUCTS.flatMap((p) => waysOf(p).map((way) => `${p.id} ${way}`)),
    );
    expect(made.length).toBeGreaterThan(8);
  });
  it('asked for by hand is let in where only the way spoke against it', () => {
    const asked = (force: NonNullable<MatchInput['force']>): readonly string[] =>
      one('film-hard', 'against', { force }).excludedBy;
    const plain = one('film-hard', 'against').excludedBy;
    expect(plain.length).toBeGreaterThan(0);
    expect(asked({ way: 'against' })).toEqual([]);
    expect(asked({ way: 'against', product: 'film-hard' })).toEqual([]);
    expect(asked({ way: 'against', product: 'soft' })).toEqual(plain);
    expect(asked({ way: 'with' })).toEqual(plain);
  });
});

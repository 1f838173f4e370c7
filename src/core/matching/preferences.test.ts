import { describe, expect, it } from 'vitest';
import {
  isCrossedInVain,
  preferredBy,
  SHIPPED_PREFERENCES,
  speaking,
  strictAgainst,
  type Preferences,
  type Preferring,
} from './preferences';

const usual: Preferring = {
  zone: 'lower-leg-front',
  hair: { coarseness: 3 },
  sensitivity: 3,
  ingrownProne: false,
  hairAreaCm2: 100,
  standsAcross: false,
  preferences: { ...SHIPPED_PREFERENCES, first: 'none' },
};
const of = (more: Partial<Preferring> = {}, house: Partial<Preferences> = {}): Preferring => ({
  ...usual,
  ...more,
  preferences: { ...usual.preferences, ...house },
});
const codes = (p: Preferring): readonly string[] => speaking(p).map((b) => b.code);
const hard = { family: 'hard', way: 'with', product: { id: 'film-hard' } } as const;
const soft = { family: 'soft', way: 'with', product: { id: 'soft' } } as const;
const sugar = { family: 'sugar', way: 'moulded', product: { id: 'sugar-firm' } } as const;

describe('what is never used on reactive skin or where hair grows in', () => {
  it('is soft wax alone', () => {
    const worst = of({ sensitivity: 5, ingrownProne: true });
    expect(strictAgainst('soft', worst)).toEqual(['reactive.never-soft', 'ingrown.not-soft']);
    expect([strictAgainst('hard', worst), strictAgainst('sugar', worst)]).toEqual([[], []]);
    expect(strictAgainst('soft', of())).toEqual([]);
  });
  it('loosens for very reactive skin by no switch, for reactive skin and ingrown hair by the house’s', () => {
    const off = { reactiveMild: false, ingrownSugar: false };
    expect(strictAgainst('soft', of({ sensitivity: 5 }, off))).toEqual(['reactive.never-soft']);
    expect(strictAgainst('soft', of({ sensitivity: 4 }))).toEqual(['reactive.hard-or-sugar']);
    expect(strictAgainst('soft', of({ sensitivity: 4 }, off))).toEqual([]);
    expect(strictAgainst('soft', of({ ingrownProne: true }))).toEqual(['ingrown.not-soft']);
    expect(strictAgainst('soft', of({ ingrownProne: true }, off))).toEqual([]);
  });
});

describe('what a house would rather', () => {
  it('says nothing of usual hair on calm skin', () => {
    expect(codes(of())).toEqual([]);
    expect(preferredBy(hard, of())).toEqual([]);
  });
  it('is hard wax from coarseness 4 on, by its switch', () => {
    expect(codes(of({ hair: { coarseness: 4 } }))).toEqual(['coarse.hard']);
    expect(codes(of({ hair: { coarseness: 4 } }, { coarseHard: false }))).toEqual([]);
    const coarse = of({ hair: { coarseness: 5 } });
    expect([hard, soft, sugar].map((o) => preferredBy(o, coarse))).toEqual([['coarse.hard'], [], []]);
  });
  it('is soft wax for fine hair on a large area of calm skin: each of the three at its edge', () => {
    const fine = { hair: { coarseness: 2 as const }, hairAreaCm2: 150 };
    expect(codes(of(fine))).toEqual(['fine-large.soft']);
    expect(codes(of({ ...fine, hairAreaCm2: 149 }))).toEqual([]);
    expect(codes(of({ ...fine, hair: { coarseness: 3 } }))).toEqual([]);
    expect(codes(of({ ...fine, sensitivity: 4 }))).toEqual([]);
    expect(codes(of(fine, { fineSoft: false }))).toEqual([]);
    expect([hard, soft, sugar].map((o) => preferredBy(o, of(fine)))).toEqual([[], ['fine-large.soft'], []]);
  });
  it('is sugar where hair grows in, what worked here, the favourite of the zone, in this order', () => {
    const all = of(
      { ingrownProne: true, worked: { product: 'sugar-firm' }, hair: { coarseness: 4 } },
      { first: 'sugar', favourites: { 'lower-leg-front': 'film-hard' } },
    );
    expect(codes(all)).toEqual(['client.worked', 'ingrown.sugar', 'coarse.hard', 'house.favourite', 'house.first']);
    expect(preferredBy(sugar, all)).toEqual(['client.worked', 'ingrown.sugar', 'house.first']);
    expect(preferredBy(hard, all)).toEqual(['coarse.hard', 'house.favourite']);
    expect(codes({ ...all, preferences: { ...all.preferences, worked: false, ingrownSugar: false } })).toEqual([
      'coarse.hard',
      'house.favourite',
      'house.first',
    ]);
    expect(codes({ ...all, zone: 'chin' })).not.toContain('house.favourite');
  });
  it('of what worked asks for the way too where that is known', () => {
    const way = of({ worked: { product: 'film-hard', way: 'against' } });
    expect(preferredBy(hard, way)).toEqual([]);
    expect(preferredBy({ ...hard, way: 'against' }, way)).toEqual(['client.worked']);
    expect(preferredBy({ ...hard, way: 'against' }, of({ worked: { product: 'film-hard' } }))).toEqual([
      'client.worked',
    ]);
    expect(preferredBy(soft, way)).toEqual([]);
  });
  it('reaches for wax or sugar first, or for neither', () => {
    const first = (f: Preferences['first']) =>
      [hard, soft, sugar].map((o) => preferredBy(o, of({}, { first: f })).length);
    expect([first('wax'), first('sugar'), first('none')]).toEqual([
      [1, 1, 0],
      [0, 0, 1],
      [0, 0, 0],
    ]);
  });
});

describe('the crossed lay', () => {
  it('waits where the plain one holds as well, unless hair stands across or the house does not mind', () => {
    expect(isCrossedInVain('crossed', true, of())).toBe(true);
    expect(isCrossedInVain('with', true, of())).toBe(false);
    expect(isCrossedInVain('crossed', false, of())).toBe(false);
    expect(isCrossedInVain('crossed', true, of({ standsAcross: true }))).toBe(false);
    expect(isCrossedInVain('crossed', true, of({}, { plainLay: false }))).toBe(false);
  });
});

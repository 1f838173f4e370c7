import { describe, expect, it } from 'vitest';
import { SHIPPED_PRODUCTS } from '../products';
import { choiceReasons, exclusionSentence, holdsFrom, noChoiceReasons } from './sentences';
import type { Option, Schools } from './types';

const made = (id: string, more: Partial<Option> = {}): Option => {
  const product = SHIPPED_PRODUCTS.find((p) => p.id === id);
  if (!product) throw new Error(id);
  const rest = { way: 'with', coats: 1, passes: 1, eligible: true, excludedBy: [], trimFirst: false, readyOn: null };
  const figures = {
    leftHairs: 5,
    tweezed: 5,
    workableShare: 0.954,
    removedShare: 0.978,
    shortestMm: 4.26,
    longestMm: 20,
  };
  return { product, family: product.family, ...rest, ...figures, ...more } as unknown as Option;
};
const schools = { maxHardPasses: 2 } as unknown as Schools;

describe('a choice in words', () => {
  it('says what it holds and what comes off, in how many passes', () => {
    expect(choiceReasons(made('sugar-firm', { way: 'moulded', passes: 2 }), schools, false)).toEqual([
      'Firm sugar paste, tub, moulded by hand against the growth: 95 % of the hair is between 4.3 and 20 mm; of shorter hair it still takes some, so that in 2 passes about 98 % of all comes off.',
    ]);
    expect(choiceReasons(made('sugar-firm', { way: 'moulded' }), schools, false)[0]).toContain('in one pass about');
  });
  it('adds what goes with it: coats, trimming, what stays, the rule of the house, how it was measured', () => {
    const all = choiceReasons(
      made('film-hard', { coats: 2, trimFirst: true, leftHairs: 42, tweezed: 30 }),
      schools,
      true,
    );
    expect(all.slice(1)).toEqual([
      'Two coats: film wax in one coat stretches on coarse hair.',
      'Trim to about 6 mm first: long hair tangles and hurts more.',
      'About 12 hairs stay for next time: more than 30 are not tweezed.',
      'House rule: laid with the growth, at most 2 passes.',
      'Drawn at average size: measure for a closer count.',
    ]);
    expect(choiceReasons(made('soft'), schools, false).slice(1)).toEqual([
      'Soft wax: one pass only, a second lifts skin.',
    ]);
  });
});

describe('the first day on which something holds', () => {
  const waits = (readyOn: string | null, more: Partial<Option> = {}) =>
    made('soft', { eligible: false, excludedBy: ['hair.too-short'], readyOn, ...more } as Partial<Option>);
  it('is the earliest of what waits for the length of the hair alone', () => {
    expect(holdsFrom([waits('2027-06-02'), waits('2027-05-30'), waits(null)])).toBe('2027-05-30');
    expect(holdsFrom([waits('2027-05-30', { excludedBy: ['hair.too-short', 'patch.reacted'] })])).toBeNull();
    expect(holdsFrom([waits('2027-05-30', { eligible: true })])).toBeNull();
    expect(holdsFrom([])).toBeNull();
  });
});

describe('no choice in words', () => {
  const out = (id: string, excludedBy: readonly string[], more: Partial<Option> = {}) =>
    made(id, { eligible: false, excludedBy, ...more });
  it('says that nothing is stocked, that marks leave nothing, that what was asked for is not to be had', () => {
    expect(noChoiceReasons([], 90)).toEqual(['No product is stocked for this zone.']);
    expect(noChoiceReasons([made('soft')], 0.29)[0]).toContain('The marks leave no hair');
    expect(noChoiceReasons([made('soft')], 0.3)[0]).toContain('asked for cannot be used');
  });
  it('names what stands in the way, not what is only the house’s rule, and the earliest day', () => {
    const rows = noChoiceReasons(
      [
        out('film-hard', ['school.hard-lay']),
        out('film-hard', ['way.not-needed'], { way: 'crossed' }),
        out('soft', ['hair.too-short'], { readyOn: '2027-05-30' } as Partial<Option>),
        out('sugar-firm', ['patch.reacted', 'screening.family-out']),
      ],
      90,
    );
    expect(rows).toEqual([
      'Nothing holds this hair today; the earliest product does from 2027-05-30.',
      'Soft strip wax, can: Holds hair from 4.3 mm; 95 % is long enough, 70 % is needed. From 2027-05-30.',
      'Firm sugar paste, tub: This skin has reacted to it. Left out by the screening.',
    ]);
    expect(noChoiceReasons([out('film-hard', ['school.hard-lay'])], 90)).toEqual([
      'Nothing is allowed here today.',
      'Film hard wax, beads: Not the house rule for laying hard wax.',
    ]);
  });
  it('has a sentence for each code, and shows one that it does not know', () => {
    const of = (code: string) => exclusionSentence(code, made('soft', { workableShare: 0.4 }));
    expect(of('hair.too-short')).toBe('Holds hair from 4.3 mm; 40 % is long enough, 70 % is needed.');
    expect(of('zone.family-never')).toBe('Soft wax is never used here.');
    expect(['allergy.rosin', 'allergy.honey', 'allergy.fragrance', 'allergy.zinc-oxide'].map(of)).toEqual([
      'Contains rosin: on the allergy card.',
      'Contains honey: on the allergy card.',
      'Contains fragrance: on the allergy card.',
      'Contains zinc oxide: on the allergy card.',
    ]);
    const codes = [
      ...['screening.family-out', 'patch.reacted', 'patch.new-product', 'studio.family', 'school.hard-lay'],
      ...['school.short-hair', 'school.sugar-way', 'way.not-needed', 'way.later-pass', 'heat.never-ready'],
      ...['room.paste-too-slack', 'room.paste-too-stiff'],
    ];
    const said = codes.map(of);
    expect(said.every((s) => /^[A-Z].+\.$/.test(s))).toBe(true);
    expect(new Set(said).size).toBe(codes.length);
    expect(of('something.else')).toBe('something.else');
  });
});

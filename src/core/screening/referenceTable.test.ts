import { describe, expect, it } from 'vitest';
import type { Combination } from './combinations';
import { referenceTable } from './referenceTable';
import type { Rule } from './types';

const words = { grounds: 'practice', text: 'To her.', clientText: 'To the client.' } as const;
const rule: Rule = { code: 'r', fact: 'acid-exfoliant', outcome: 'postpone', scope: 'zone', ...words };
const both: Combination = { code: 'b', outcome: 'adapt', all: ['blood-thinner'], ...words };
/** The row of one rule, made up for the test. */
const row = (more: Partial<Rule>) =>
  referenceTable({ name: 'test', rules: [{ ...rule, ...more }], combinations: [] }).find((r) => r.code === 'r');
const pair = (more: Partial<Combination>) =>
  referenceTable({ name: 'test', rules: [], combinations: [{ ...both, ...more }] }).find((r) => r.code === 'b');

describe('the reference table says of a rule', () => {
  it.each([
    [{ waitDays: 1 }, '1 day', 1],
    [{ waitDays: 7 }, '7 days', 7],
    [{ waitMonths: 6 }, '6 months', null],
    [{}, 'as long as it stands', null],
  ] as const)('how long it waits: %o', (more, wait, waitDays) => expect(row(more)).toMatchObject({ wait, waitDays }));
  it('what it takes out, how much cooler, and where alone', () => {
    expect(row({ family: 'soft', lowerHeatK: 2, onlyZones: ['upper-lip', 'chin'] })?.also).toBe(
      'no soft wax · 2° cooler · only upper lip, chin',
    );
    expect(row({ allergen: 'rosin', scope: 'visit' })).toMatchObject({
      also: 'no product with rosin',
      scope: 'product',
    });
    expect(row({})).toMatchObject({ also: '', scope: 'zone', hard: false, group: 'fact', text: 'To her.' });
    expect(row({ scope: 'visit', hard: true })).toMatchObject({ scope: 'whole visit', hard: true });
    expect(row({ scope: 'family' })?.scope).toBe('product');
  });
  it('of which facts together, on whom and where', () => {
    const all = ['retinoid-topical', 'acid-exfoliant'] as const;
    expect(pair({ all, anywhereOnFace: true, face: true })?.when).toBe(
      'Retinoid cream and Acid or peel · anywhere on the face · on the face',
    );
    const coarse = pair({ history: ['first', 'lapsed'], coarsenessFrom: 4, sensitivityFrom: 5, intimate: true });
    expect(coarse?.when).toBe(
      'Blood thinner, aspirin or ibuprofen · first wax or long pause · hair coarse (4 of 5 or more) · reactive skin (5 of 5 or more) · on intimate skin',
    );
    expect(pair({ onlyZones: ['chin'], softOut: true, onePass: true, waitDays: 3 })).toMatchObject({
      when: 'Blood thinner, aspirin or ibuprofen · on chin',
      also: 'no soft wax · one pass only',
      wait: '3 days',
      waitDays: 3,
      scope: 'zone',
      group: 'together',
      hard: false,
    });
    expect(pair({})).toMatchObject({ also: '', waitDays: null });
  });
  it('of what never changes: first who, last what, all of it fixed', () => {
    const rows = referenceTable({ name: 'test', rules: [], combinations: [] });
    expect(rows.slice(0, 3).map((r) => r.group)).toEqual(['person', 'person', 'person']);
    expect(rows.slice(-2).map((r) => [r.group, r.wait, r.hard, r.scope])).toEqual([
      ['fixed', 'always', true, 'product'],
      ['fixed', 'always', true, 'product'],
    ]);
    const spots = rows.filter((r) => r.group === 'spot');
    expect(spots.length).toBeGreaterThan(5);
    expect(spots.filter((r) => !/^\d+(\.\d+)? mm clear round it$/.test(r.also) || r.scope !== 'spot')).toEqual([]);
    expect(spots.map((r) => r.when)).toEqual(expect.arrayContaining(['Mole', 'New tattoo', 'Varicose vein']));
  });
});

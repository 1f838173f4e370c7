import { describe, expect, it } from 'vitest';
import type { FoundFact } from '@/core/screening';
import type { Bench } from '@/server/services/bench';
import { askedAfter, askingOf, EVERY_QUESTION } from './asking';
import { bothWords, namesOf } from '../zoneNames';
import { judgedWithConsent, verdictOf } from './verdict';

const hair = { lengthMm: 7, coarseness: 3, density: 3, curl: 1, history: 'regular' } as const;
const UNDERARMS = [
  ['underarm', 'left', 'Underarm'],
  ['underarm', 'right', 'Underarm'],
] as const;
const LIP = ['upper-lip', 'middle', 'Upper lip'] as const;
interface Case {
  readonly zones?: readonly (readonly [string, string, string])[];
  readonly facts?: readonly FoundFact[];
  readonly consent?: boolean;
  readonly asked?: Bench['visit']['consult']['asked'];
  readonly confirmedAtMs?: number | null;
  readonly ageYears?: number;
  readonly saidNoBefore?: Bench['client']['saidNoBefore'];
}
/** A bench of which only what the consultation looks at is there. */
const bench = ({ zones = UNDERARMS, facts = [], consent = true, asked = [], ...more }: Case): Bench =>
  ({
    visit: {
      onDate: '2027-05-14',
      consult: {
        ...{ facts, consent, asked, guardianConsent: false, sensitivity: 3, overrides: [], unsure: [] },
        confirmedAtMs: more.confirmedAtMs ?? null,
      },
    },
    client: { ageYears: more.ageYears ?? 34, saidNoBefore: more.saidNoBefore ?? null },
    zones: zones.map(([zone, side, name]) => ({ zone, side, name, data: { hair, marks: [] } })),
    rules: [],
  }) as unknown as Bench;
const day = (date: string): string => date.slice(5);
const verdict = (c: Case, open = 0) => verdictOf(bench(c), open, day);

describe('the verdict', () => {
  it('is green only when consent stands, zones are chosen and nothing is open', () => {
    expect(verdict({})).toEqual({ tone: 'go', words: 'Both underarms today.' });
    expect(verdict({}, 2)).toEqual({ tone: 'open', words: 'Both underarms today.' });
    expect(verdict({ confirmedAtMs: 1 }, 2).tone).toBe('go');
    expect(verdict({ consent: false })).toEqual({ tone: 'open', words: 'Both underarms once consent is given.' });
    // a guardian who has not agreed yet adapts nothing
    expect(verdict({ consent: false, ageYears: 16 }).tone).toBe('open');
    expect(verdict({ zones: [] })).toEqual({ tone: 'open', words: 'What comes off today?' });
  });
  it('says what goes and what waits from when', () => {
    // acids on the face wait seven days there (common practice, no source)
    const facts: FoundFact[] = [{ fact: 'acid-exfoliant', lastOn: '2027-05-12', zones: ['upper-lip/middle'] }];
    expect(verdict({ zones: [...UNDERARMS, LIP], facts })).toEqual({
      tone: 'adapt',
      words: 'Both underarms today. Upper lip from 05-19.',
    });
  });
  it('says plainly when nothing goes', () => {
    expect(verdict({ facts: [{ fact: 'sunburn', lastOn: '2027-05-12' }] })).toEqual({
      tone: 'stop',
      words: 'Not today. From 05-19.',
    });
    expect(verdict({ facts: [{ fact: 'chemo-radio' }] }).words).toBe('Not today: cleared by the doctor first.');
    expect(verdict({ facts: [{ fact: 'numb-skin' }] }).words).toBe('Decline and refer.');
    // consent that is still to come makes no decline of what only waits
    const waits = bench({ facts: [{ fact: 'sunburn', lastOn: '2027-05-12' }], consent: false });
    expect(judgedWithConsent(waits)).toMatchObject({ outcome: 'postpone', earliestOn: '2027-05-19' });
  });
  it('names pairs as pairs and counts what is too much to name', () => {
    expect(bothWords('Lower leg, front')).toBe('both lower legs, front');
    expect(bothWords('Foot')).toBe('both feet');
    expect(namesOf(bench({ zones: [...UNDERARMS, LIP] }).zones)).toBe('Both underarms and upper lip');
    const many = ['chin', 'nape', 'chest', 'abdomen'].map((z) => [z, 'middle', z] as const);
    expect(namesOf(bench({ zones: many }).zones)).toBe('4 zones');
  });
});

describe('what is asked', () => {
  it('of a newcomer must be answered one by one; nothing is taken as asked that was not', () => {
    const first = bench({});
    const asking = askingOf(first);
    expect(asking.must.filter((q) => q.stops > 0).length).toBeGreaterThan(5);
    expect([asking.again, asking.before]).toEqual([[], []]);
    expect(askedAfter(first)).toEqual([]);
  });
  it('of who said no before may be said to be unchanged, and only of that', () => {
    // never asked: sunburn; answered yes last time and not asked again: coffee
    const facts = EVERY_QUESTION.filter((f) => f !== 'sunburn' && f !== 'caffeine');
    const again = bench({ saidNoBefore: { on: '2027-04-12', facts }, asked: ['rash'] });
    const asking = askingOf(again);
    expect(new Set(asking.must.map((q) => q.fact))).toEqual(new Set(['sunburn', 'caffeine']));
    expect(asking.again.map((q) => q.fact)).toContain('retinoid-topical');
    expect(asking.noToday).toEqual(['rash']);
    expect(asking.before).toContain('alcohol');
    expect(askedAfter(again)).toContain('alcohol');
    expect(askedAfter(again)).not.toContain('sunburn');
    expect(askedAfter(again)).not.toContain('caffeine');
  });
});

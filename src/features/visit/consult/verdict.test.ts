import { describe, expect, it } from 'vitest';
import type { FoundFact } from '@/core/screening';
import type { Bench } from '@/server/services/bench';
import { askedAfter, askingOf, EVERY_QUESTION, mustAsk } from './asking';
import { bothWords, namesOf } from '../zoneNames';
import { verdictOf } from './verdict';

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
  readonly askedBefore?: Bench['client']['askedBefore'];
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
    client: { ageYears: 34, askedBefore: more.askedBefore ?? null },
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
    expect(asking.turning.length).toBeGreaterThan(5);
    expect(asking.before).toEqual([]);
    expect(mustAsk(first, asking).length).toBe(asking.turning.length + asking.never.length);
    expect(askedAfter(first)).toEqual([]);
  });
  it('of who was asked before may be said to be unchanged, and only of that', () => {
    const askedBefore = { on: '2027-04-12', asked: EVERY_QUESTION.filter((f) => f !== 'sunburn') };
    const again = bench({ askedBefore, asked: ['rash'] });
    const asking = askingOf(again);
    expect(mustAsk(again, asking).map((q) => q.fact)).toEqual(['sunburn']);
    expect(asking.noToday).toEqual(['rash']);
    expect(asking.before).toContain('caffeine');
    expect(askedAfter(again)).not.toContain('sunburn');
    expect(askedAfter(again)).toContain('caffeine');
  });
});

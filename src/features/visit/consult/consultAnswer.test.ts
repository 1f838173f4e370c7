import { describe, expect, it } from 'vitest';
import { judge, type FoundFact, type ScreeningInput } from '@/core/screening';
import type { Bench } from '@/server/services/bench';
import { answerWords, reasonGroups } from './consultAnswer';

const hair = { lengthMm: 7, coarseness: 3, density: 3, curl: 1, history: 'regular' } as const;
const zone = (side: 'left' | 'right') =>
  // only these fields are looked at
  ({ zone: 'underarm', side, name: 'Underarm', data: { hair } }) as unknown as Bench['zones'][number];
const zones = [zone('left'), zone('right')];
const answer = (facts: readonly FoundFact[], more: Partial<ScreeningInput> = {}) =>
  judge({
    on: '2027-05-14',
    consent: true,
    guardianConsent: false,
    sensitivity: 3,
    facts,
    zones: zones.map((z) => ({ zone: z.zone, side: z.side, hair: { ...hair, past: [] } })),
    ...more,
  });
const day = (date: string): string => date.slice(5);

describe('answerWords', () => {
  it('says the answer in a few words, each note once', () => {
    expect(answerWords(answer([]), day)).toBe('Go');
    expect(answerWords(answer([{ fact: 'shaved' }]), day)).toBe('Adapt: 1 note');
    expect(answerWords(answer([{ fact: 'shaved' }, { fact: 'caffeine' }]), day)).toBe('Adapt: 2 notes');
    expect(answerWords(answer([{ fact: 'sunburn', lastOn: '2027-05-12' }]), day)).toBe('Postpone until 05-19');
    expect(answerWords(answer([{ fact: 'chemo-radio' }]), day)).toBe('Postpone until cleared by the doctor');
    expect(answerWords(answer([{ fact: 'numb-skin' }]), day)).toBe('Decline and refer');
  });
  it('does not send anyone away only because consent is still to come', () => {
    expect(answerWords(answer([], { consent: false }), day)).toBe('Not yet: consent is missing');
    expect(answerWords(answer([], { ageYears: 16 }), day)).toBe('Not yet: consent is missing');
    expect(answerWords(answer([{ fact: 'numb-skin' }], { consent: false }), day)).toBe('Decline and refer');
  });
});

describe('reasonGroups', () => {
  it('says once what both sides share, and each by itself where they differ', () => {
    expect(reasonGroups(answer([{ fact: 'sunburn' }]), zones)).toMatchObject([
      { name: 'Underarm, both sides', zone: 'underarm/left', alsoZone: 'underarm/right' },
    ]);
    expect(reasonGroups(answer([{ fact: 'sunburn', zones: ['underarm/right'] }]), zones).map((g) => g.name)).toEqual([
      'Underarm, right',
    ]);
  });
  it('puts the whole visit first and the strictest first within', () => {
    const groups = reasonGroups(answer([{ fact: 'shaved' }, { fact: 'sunburn' }, { fact: 'caffeine' }]), zones);
    expect(groups.map((g) => g.name)).toEqual(['Whole visit', 'Underarm, both sides']);
    expect(groups[1]?.reasons.map((r) => r.outcome)).toEqual(['postpone', 'adapt']);
  });
});

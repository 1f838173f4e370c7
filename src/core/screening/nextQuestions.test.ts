import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Hair } from '../hair';
import { judge, type ScreeningInput, type ScreeningZone } from './judge';
import { nextQuestions } from './nextQuestions';
import { factsOfAnswers, isAnswered, QUESTIONS, type FormAnswers } from './questions';
import { FACTS, type Fact } from './types';
import { ASKED_EACH_TIME, ASKED_ONCE } from './words';

const hair: Hair = { lengthMm: 7, coarseness: 3, density: 3, curl: 1, history: 'regular', past: [] };
const underarm: ScreeningZone = { zone: 'underarm', side: 'left', hair };
const lip: ScreeningZone = { zone: 'upper-lip', side: 'middle', hair };
const base: ScreeningInput = {
  on: '2027-05-14',
  consent: true,
  guardianConsent: false,
  sensitivity: 3,
  facts: [],
  zones: [underarm, lip],
};
const essence = (input: ScreeningInput): string => {
  const { outcome, zones } = judge(input);
  return JSON.stringify([outcome, zones]);
};

describe('nextQuestions', () => {
  it('asks first what would end the visit, then what would put it off, then what asks for care', () => {
    const questions = nextQuestions(base, []);
    expect(questions[0]).toMatchObject({ fact: 'numb-skin', worst: 'decline', stops: 2 });
    const order: Record<string, number> = { decline: 0, postpone: 1, adapt: 2 };
    const seen = questions.map((q) => order[q.worst] ?? 3);
    expect(seen).toEqual([...seen].sort((a, b) => a - b));
    expect(questions.find((q) => q.fact === 'cold-sore')).toMatchObject({ worst: 'postpone', stops: 1 });
    expect(nextQuestions({ ...base, zones: [underarm] }, []).map((q) => q.fact)).not.toContain('cold-sore');
  });
  it('leaves out what has been asked, and has nothing to ask once the whole visit is declined', () => {
    expect(nextQuestions(base, ['numb-skin']).map((q) => q.fact)).not.toContain('numb-skin');
    expect(nextQuestions({ ...base, facts: [{ fact: 'sunburn' }] }, []).map((q) => q.fact)).not.toContain('sunburn');
    expect(nextQuestions(base, FACTS)).toEqual([]);
    expect(nextQuestions({ ...base, consent: false }, []).every((q) => q.weight < 1e6)).toBe(true);
  });
  it('lists exactly the questions whose yes would change the answer', () => {
    fc.assert(
      fc.property(
        fc.subarray([...FACTS], { maxLength: 4 }),
        fc.subarray([...FACTS], { maxLength: 6 }),
        fc.integer({ min: 1, max: 5 }),
        (found, asked, coarseness) => {
          const input = {
            ...base,
            facts: found.map((fact) => ({ fact })),
            zones: [{ ...underarm, hair: { ...hair, coarseness } }, lip],
          };
          const listed = nextQuestions(input, asked).map((q) => q.fact);
          const open = FACTS.filter((f) => f !== 'minor' && !asked.includes(f) && !found.includes(f));
          expect([...listed].sort()).toEqual(
            open.filter((fact) => essence({ ...input, facts: [...input.facts, { fact }] }) !== essence(input)).sort(),
          );
        },
      ),
      { seed: 5, numRuns: 60 },
    );
  });
});

describe('the form', () => {
  it('asks for every fact but the age exactly once, in fourteen questions, each word explained', () => {
    const asked = QUESTIONS.flatMap((q) => q.choices.map((c) => c.fact));
    expect([...asked].sort()).toEqual(FACTS.filter((f) => f !== 'minor').sort());
    expect(QUESTIONS).toHaveLength(14);
    for (const q of QUESTIONS) for (const c of q.choices) expect(c.explain.length).toBeGreaterThan(5);
    expect([...ASKED_EACH_TIME, ...ASKED_ONCE].sort()).toEqual([...asked].sort());
  });
  it('turns answers into facts with their dates; silence is neither found nor asked', () => {
    const answers: FormAnswers = [
      { id: 'products', answer: 'some', facts: [{ fact: 'acid-exfoliant', daysAgo: 3 }] },
      { id: 'sun', answer: 'none', facts: [] },
      { id: 'skin', answer: 'unsure', facts: [] },
      { id: 'pregnancy', answer: 'unsure', facts: [] },
      { id: 'today', answer: 'some', facts: [] },
    ];
    const { found, asked, unsure } = factsOfAnswers(answers, '2027-03-02');
    expect(found).toEqual([{ fact: 'acid-exfoliant', lastOn: '2027-02-27' }]);
    expect(unsure).toEqual(['broken-skin', 'rash', 'infection', 'cold-sore']);
    // who would rather not say is not asked again
    expect(asked).toEqual([
      'acid-exfoliant',
      'physical-exfoliant',
      'retinoid-topical',
      'sunburn',
      'recent-resurfacing',
      'pregnancy',
    ] satisfies Fact[]);
    expect(isAnswered(answers, 'today')).toBe(false);
  });
  it('takes no fact under a question that does not ask for it', () => {
    expect(factsOfAnswers([{ id: 'sun', answer: 'some', facts: [{ fact: 'diabetes' }] }], '2027-03-02').found).toEqual(
      [],
    );
  });
});

import { describe, expect, it } from 'vitest';
import { isAnswered, QUESTIONS } from '@/core/screening';
import type { FormData } from '@/server/db/schema';
import {
  addSpot,
  answerOf,
  dropSpot,
  isMinor,
  missingOn,
  pagesOf,
  setDaysAgo,
  setNone,
  setNoneOfAll,
  setUnsure,
  toggleFact,
  toggleNoLonger,
} from './formState';

const EMPTY: FormData = {
  v: 1,
  answers: [],
  noLonger: [],
  spots: [],
  bornOn: null,
  words: '',
  guardianName: '',
  page: 0,
};
const person = { bornOn: '1990-01-01', on: '2027-05-14' };

describe('pages', () => {
  it('are one a question for a newcomer, one for all changes for who has been here', () => {
    expect(pagesOf({ lastOn: null }).map((p) => p.kind)).toEqual([
      'welcome',
      ...QUESTIONS.map(() => 'question'),
      'body',
      'sign',
    ]);
    expect(pagesOf({ lastOn: '2027-04-01' }).map((p) => p.kind)).toEqual(['welcome', 'changes', 'body', 'sign']);
    const [, changes] = pagesOf({ lastOn: '2027-04-01' });
    expect(changes?.kind === 'changes' && changes.questions.every((q) => q.eachTime)).toBe(true);
  });
  it('are not left without an answer', () => {
    const [welcome, first] = pagesOf({ lastOn: null });
    if (!welcome || !first) throw new Error('pages');
    expect(missingOn(welcome, { ...person, bornOn: null }, EMPTY)).toContain('date of birth');
    expect(missingOn(welcome, { ...person, bornOn: null }, { ...EMPTY, bornOn: '2030-01-01' })).toContain('ahead');
    expect(missingOn(welcome, person, EMPTY)).toBeNull();
    expect(missingOn(first, person, EMPTY)).not.toBeNull();
    expect(missingOn(first, person, setNone(EMPTY, 'products'))).toBeNull();
    const changes = { kind: 'changes', questions: QUESTIONS.filter((q) => q.eachTime) } as const;
    expect(missingOn(changes, person, setNone(EMPTY, 'sun'))).toContain(
      `${changes.questions.length - 1} questions have`,
    );
    expect(missingOn(changes, person, setNoneOfAll(EMPTY, changes.questions))).toBeNull();
  });
});

describe('answers', () => {
  it('a choice taken back leaves the question open, never a no', () => {
    const chosen = toggleFact(EMPTY, 'products', 'acid-exfoliant');
    expect(answerOf(chosen, 'products')).toMatchObject({ answer: 'some', facts: [{ fact: 'acid-exfoliant' }] });
    expect(isAnswered(toggleFact(chosen, 'products', 'acid-exfoliant').answers, 'products')).toBe(false);
  });
  it('a choice takes the place of none and of not sure, and the other way round; days stay with their fact', () => {
    const data = setDaysAgo(
      toggleFact(
        toggleFact(setNone(EMPTY, 'products'), 'products', 'acid-exfoliant'),
        'products',
        'physical-exfoliant',
      ),
      'products',
      'acid-exfoliant',
      6,
    );
    expect(answerOf(data, 'products')?.facts).toEqual([
      { fact: 'acid-exfoliant', daysAgo: 6 },
      { fact: 'physical-exfoliant' },
    ]);
    expect(answerOf(setUnsure(data, 'products'), 'products')).toEqual({ id: 'products', answer: 'unsure', facts: [] });
  });
  it('"nothing else" leaves what has been answered as it is', () => {
    const data = setNoneOfAll(toggleFact(EMPTY, 'sun', 'sunburn'), QUESTIONS);
    expect(answerOf(data, 'sun')?.answer).toBe('some');
    expect(data.answers).toHaveLength(QUESTIONS.length);
  });
  it('spots and what is no longer so come and go; nothing given is changed in place', () => {
    const spot = { figure: 'front', at: [60, 50], kind: 'sore', zone: 'underarm', side: 'left' } as const;
    const two = addSpot(addSpot(EMPTY, spot), { ...spot, kind: 'mark' });
    expect(dropSpot(two, 0).spots.map((s) => s.kind)).toEqual(['mark']);
    expect(toggleNoLonger(toggleNoLonger(EMPTY, 'steroid'), 'steroid')).toEqual(EMPTY);
    expect(EMPTY.spots).toEqual([]);
  });
  it('knows a minor by the day of birth, on the card or on the form', () => {
    expect(isMinor({ bornOn: '2009-05-15', on: '2027-05-14' }, EMPTY)).toBe(true);
    expect(isMinor({ bornOn: '2009-05-14', on: '2027-05-14' }, EMPTY)).toBe(false);
    expect(isMinor({ bornOn: null, on: '2027-05-14' }, { ...EMPTY, bornOn: '2012-01-01' })).toBe(true);
    expect(isMinor({ bornOn: null, on: '2027-05-14' }, EMPTY)).toBe(false);
  });
});

// The client's form as a value: which pages there are, what is answered, what a tap changes. No screen in here.

import { isAnswered, QUESTIONS, type Fact, type Question, type QuestionAnswer } from '@/core/screening';
import { yearsBetween } from '@/core/shared';
import type { FormData, Spot } from '@/server/db/schema';
import type { ClientForm } from '@/server/services/clientForm';

export type FormPage =
  | { readonly kind: 'welcome' }
  | { readonly kind: 'question'; readonly question: Question }
  | { readonly kind: 'changes'; readonly questions: readonly Question[] }
  | { readonly kind: 'body' }
  | { readonly kind: 'sign' };

/** A newcomer answers one question a page; who has been here sees on one page what may have changed. */
export function pagesOf(form: Pick<ClientForm, 'lastOn'>): readonly FormPage[] {
  const middle: readonly FormPage[] =
    form.lastOn === null
      ? QUESTIONS.map((question) => ({ kind: 'question', question }))
      : [{ kind: 'changes', questions: QUESTIONS.filter((q) => q.eachTime) }];
  return [{ kind: 'welcome' }, ...middle, { kind: 'body' }, { kind: 'sign' }];
}

const put = (data: FormData, answer: QuestionAnswer): FormData => ({
  ...data,
  answers: [...data.answers.filter((a) => a.id !== answer.id), answer],
});
export const answerOf = (data: FormData, id: string): QuestionAnswer | undefined =>
  data.answers.find((a) => a.id === id);

/** A tap on a choice: on, or off again; a question without a choice left is unanswered, never a no. */
export function toggleFact(data: FormData, id: string, fact: Fact): FormData {
  const facts = answerOf(data, id)?.facts ?? [];
  const next = facts.some((f) => f.fact === fact) ? facts.filter((f) => f.fact !== fact) : [...facts, { fact }];
  return next.length === 0
    ? { ...data, answers: data.answers.filter((a) => a.id !== id) }
    : put(data, { id, answer: 'some', facts: next });
}

export function setDaysAgo(data: FormData, id: string, fact: Fact, daysAgo: number): FormData {
  const facts = (answerOf(data, id)?.facts ?? []).map((f) => (f.fact === fact ? { fact, daysAgo } : f));
  return put(data, { id, answer: 'some', facts });
}

export const setNone = (data: FormData, id: string): FormData => put(data, { id, answer: 'none', facts: [] });
export const setUnsure = (data: FormData, id: string): FormData => put(data, { id, answer: 'unsure', facts: [] });
export const setNoneOfAll = (data: FormData, questions: readonly Question[]): FormData =>
  questions.filter((q) => !isAnswered(data.answers, q.id)).reduce((d, q) => setNone(d, q.id), data);

export const toggleNoLonger = (data: FormData, fact: Fact): FormData => ({
  ...data,
  noLonger: data.noLonger.includes(fact) ? data.noLonger.filter((f) => f !== fact) : [...data.noLonger, fact],
});

export const addSpot = (data: FormData, spot: Spot): FormData => ({ ...data, spots: [...data.spots, spot] });
export const dropSpot = (data: FormData, index: number): FormData => ({
  ...data,
  spots: data.spots.filter((_, i) => i !== index),
});

export const isMinor = (form: Pick<ClientForm, 'bornOn' | 'on'>, data: FormData): boolean => {
  const born = form.bornOn ?? data.bornOn;
  return born !== null && born <= form.on && yearsBetween(born, form.on) < 18;
};

/** What keeps this page from being left forwards, in the client's words; null where nothing does. */
export function missingOn(page: FormPage, form: Pick<ClientForm, 'bornOn' | 'on'>, data: FormData): string | null {
  switch (page.kind) {
    case 'welcome': {
      const born = form.bornOn ?? data.bornOn;
      if (born === null) return 'Please tell us your date of birth.';
      return born > form.on ? 'This date lies ahead.' : null;
    }
    case 'question':
      return isAnswered(data.answers, page.question.id) ? null : 'Please choose, or say none of these.';
    case 'changes': {
      const open = page.questions.filter((q) => !isAnswered(data.answers, q.id)).length;
      return open === 0 ? null : `${open} ${open === 1 ? 'question has' : 'questions have'} no answer yet.`;
    }
    case 'body':
    case 'sign':
      return null;
  }
}

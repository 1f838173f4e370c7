// A hair that wax did not take or the eye can hardly find: short, lying flat, or under the skin? Lying flat can look
// like being under the skin, so it is lifted before anything is decided: with a fingertip first, then with the tip of
// the tweezers (common practice, no source).

import type { HairFlag } from './types';

export type Lifted = 'stands' | 'lifts' | 'long-enough' | 'skin-over';
export type Answers = Readonly<Partial<Record<Lifted, boolean>>>;

export interface ShortOrUnderQuestion {
  readonly id: Lifted;
  readonly text: string;
  readonly how: string;
}

export const SHORT_OR_UNDER: Readonly<Record<Lifted, ShortOrUnderQuestion>> = {
  stands: {
    id: 'stands',
    text: 'Does it stand up under your fingertip?',
    how: 'Stroke the place against the growth with one clean fingertip.',
  },
  lifts: {
    id: 'lifts',
    text: 'Does the tip of the tweezers lift it?',
    how: 'Closed tweezers, flat along the skin, under the hair. Do not press and do not scratch.',
  },
  'long-enough': {
    id: 'long-enough',
    text: 'Is it longer than 1.6 mm?',
    how: 'The upper line shows it beside 6 mm: 1.6 mm is what the shortest-hair product can hold.',
  },
  'skin-over': {
    id: 'skin-over',
    text: 'Is there skin over it?',
    how: 'A fine line or a bump with nothing that could be lifted.',
  },
};

export type ShortOrUnder =
  | { readonly kind: 'ask'; readonly question: ShortOrUnderQuestion }
  | {
      readonly kind: 'found';
      readonly what: 'flat' | 'short' | 'plain' | 'under-skin';
      readonly flag: HairFlag | null;
      readonly say: string;
    };

const FOUND = {
  plain: {
    kind: 'found',
    what: 'plain',
    flag: null,
    say: 'It stands and is long enough: an ordinary hair. Work on as planned.',
  },
  short: {
    kind: 'found',
    what: 'short',
    flag: null,
    say: 'Too short for a strip today. Leave it for the next visit, or sugar; never a second pass of soft wax for it.',
  },
  flat: {
    kind: 'found',
    what: 'flat',
    flag: 'flat',
    say: 'It lies flat. Lift the hair with powder and a stroke against the growth before each strip; the crossed lay wraps it from both sides.',
  },
  'under-skin': {
    kind: 'found',
    what: 'under-skin',
    flag: 'under-skin',
    say: 'It is under the skin. Leave it closed: no digging, no squeezing. Gentle exfoliation from day 2–3 on; where it is hot, swollen or weeping, refer.',
  },
} as const satisfies Readonly<Record<string, ShortOrUnder>>;

/** The next question, or what it is. Unanswered questions are asked in the order of the hand. */
export function shortOrUnder(answers: Answers): ShortOrUnder {
  const ask = (id: Lifted): ShortOrUnder => ({ kind: 'ask', question: SHORT_OR_UNDER[id] });
  if (answers.stands === undefined) return ask('stands');
  if (!answers.stands) {
    if (answers.lifts === undefined) return ask('lifts');
    if (!answers.lifts) {
      if (answers['skin-over'] === undefined) return ask('skin-over');
      return answers['skin-over'] ? FOUND['under-skin'] : FOUND.short;
    }
  }
  if (answers['long-enough'] === undefined) return ask('long-enough');
  if (!answers['long-enough']) return FOUND.short;
  return answers.stands ? FOUND.plain : FOUND.flat;
}

// The client's side of the form: fourteen plain questions that between them ask for every fact, medical words
// explained. An answer is a choice, "none of these" or "not sure"; silence is never taken for a no.

import { addDays, type CivilDate } from '../shared';
import type { Fact, FoundFact } from './types';

export interface QuestionChoice {
  readonly fact: Fact;
  readonly label: string;
  /** What the word means, for someone who has never met it. */
  readonly explain: string;
  /** It matters how long ago. */
  readonly when?: boolean;
}

export interface Question {
  readonly id: string;
  readonly text: string;
  readonly choices: readonly QuestionChoice[];
  /** Asked again at every visit. */
  readonly eachTime: boolean;
  readonly note?: string;
  /** Nobody need answer it: "rather not say" is an answer like any other and is not asked again. */
  readonly mayKeep?: boolean;
}

export const QUESTIONS: readonly Question[] = [
  {
    id: 'products',
    eachTime: true,
    text: 'Which of these has touched the skin we will work on?',
    choices: [
      {
        fact: 'acid-exfoliant',
        when: true,
        label: 'A peel or an acid',
        explain: 'Fruit acid, glycolic, lactic or salicylic acid, also in toners, pads and spot creams.',
      },
      { fact: 'physical-exfoliant', when: true, label: 'A scrub', explain: 'Grains, a brush or a rough glove.' },
      {
        fact: 'retinoid-topical',
        when: true,
        label: 'A vitamin A cream',
        explain: 'Retinol, tretinoin, adapalene or the like, for acne or wrinkles.',
      },
    ],
  },
  {
    id: 'sun',
    eachTime: true,
    text: 'Has the skin been burnt by the sun, or treated with light?',
    choices: [
      { fact: 'sunburn', when: true, label: 'Sunburn', explain: 'Red, hot or peeling skin, also from a sunbed.' },
      {
        fact: 'recent-resurfacing',
        when: true,
        label: 'Laser, deep peel or needling',
        explain: 'A treatment that takes off or pierces the outer skin.',
      },
    ],
  },
  {
    id: 'skin',
    eachTime: true,
    text: 'Is anything wrong with the skin today?',
    choices: [
      { fact: 'broken-skin', label: 'A cut or an open spot', explain: 'Grazes, scratched bites, cracked skin.' },
      { fact: 'rash', label: 'A rash or eczema', explain: 'Itching, scaly or spotted skin.' },
      { fact: 'infection', label: 'An infection', explain: 'Boils, inflamed hair roots, warts that spread, fungus.' },
      { fact: 'cold-sore', label: 'A cold sore', explain: 'Blisters at the lip, also when they are just beginning.' },
    ],
  },
  {
    id: 'treatments',
    eachTime: true,
    text: 'Have you had one of these where we will work?',
    choices: [
      { fact: 'injectable', when: true, label: 'An injection', explain: 'To smooth wrinkles or to fill.' },
      {
        fact: 'permanent-makeup',
        when: true,
        label: 'Permanent make-up',
        explain: 'Tattooed brows or lips, also touching up.',
      },
      {
        fact: 'surgery',
        when: true,
        label: 'An operation',
        explain: 'In the last months, also small ones such as a mole taken off.',
      },
    ],
  },
  {
    id: 'removal',
    eachTime: true,
    text: 'Have you shaved since the last wax?',
    choices: [
      { fact: 'shaved', label: 'Yes, shaved or clipped short', explain: 'Also with a cream that dissolves hair.' },
    ],
  },
  {
    id: 'today',
    eachTime: true,
    text: 'Today, or since last night?',
    choices: [
      { fact: 'alcohol', label: 'Alcohol', explain: 'In the last 24 hours.' },
      { fact: 'caffeine', label: 'Coffee, strong tea or energy drinks', explain: 'They can make it feel sharper.' },
      { fact: 'numbing-cream', label: 'A numbing cream', explain: 'A cream or spray that takes feeling away.' },
    ],
  },
  {
    id: 'cycle',
    eachTime: true,
    mayKeep: true,
    text: 'Are you just before or in your period?',
    note: 'Skin is easier in the two weeks after it. You need not say.',
    choices: [{ fact: 'before-period', label: 'Yes', explain: 'In the days before it or during it.' }],
  },
  {
    id: 'medicines',
    eachTime: true,
    text: 'Do you take one of these medicines?',
    note: 'Please keep taking what has been prescribed to you; we only work differently.',
    choices: [
      {
        fact: 'blood-thinner',
        label: 'A blood thinner, aspirin or ibuprofen',
        explain: 'Anything that makes you bleed longer.',
      },
      { fact: 'steroid', label: 'Cortisone', explain: 'Tablets, inhaler or cream; also called steroids.' },
      {
        fact: 'photosensitiser',
        label: 'One that makes skin sensitive to light',
        explain: 'Some antibiotics and some herbal drops such as St John’s wort; the leaflet says so.',
      },
      {
        fact: 'retinoid-oral',
        when: true,
        label: 'Vitamin A tablets against acne or psoriasis',
        explain: 'Isotretinoin or acitretin; also if the course ended within the last year.',
      },
    ],
  },
  {
    id: 'allergies',
    eachTime: false,
    text: 'Are you allergic to one of these?',
    choices: [
      {
        fact: 'allergy-rosin',
        label: 'Sticking plasters or rosin',
        explain: 'Rosin, also called colophony, is a resin in plasters and in some waxes.',
      },
      { fact: 'allergy-honey', label: 'Honey or beeswax', explain: 'Also propolis.' },
      { fact: 'allergy-fragrance', label: 'Perfume', explain: 'Scents in creams and soaps.' },
      {
        fact: 'allergy-zinc-oxide',
        label: 'Zinc ointment',
        explain: 'Zinc oxide, in ointments and in some white waxes.',
      },
      { fact: 'allergy-glove', label: 'Gloves', explain: 'Latex, or the powder in gloves.' },
    ],
  },
  {
    id: 'reactions',
    eachTime: false,
    text: 'Has skin ever reacted badly?',
    choices: [
      {
        fact: 'earlier-reaction',
        label: 'To waxing or sugaring',
        explain: 'Blisters, lifted skin, or redness for more than two days.',
      },
      { fact: 'keloid', label: 'With thick scars', explain: 'Keloids: scars that grow beyond the wound.' },
      { fact: 'faint', label: 'By fainting', explain: 'At the doctor’s, at needles, at waxing.' },
    ],
  },
  {
    id: 'health',
    eachTime: false,
    text: 'Do you have any of these?',
    choices: [
      { fact: 'diabetes', label: 'Diabetes', explain: 'Either kind.' },
      {
        fact: 'circulation',
        label: 'Poor circulation',
        explain: 'Cold, pale or swollen feet and hands; varicose veins under treatment.',
      },
      { fact: 'immune', label: 'A weakened immune system', explain: 'From an illness or from a medicine.' },
    ],
  },
  {
    id: 'treated',
    eachTime: false,
    text: 'Has one of these been treated?',
    choices: [
      { fact: 'vein-thrombosis', label: 'A blood clot in a vein', explain: 'Thrombosis, in a leg or an arm.' },
      { fact: 'lymph', label: 'Lymph nodes taken out, or a swollen limb', explain: 'Also called lymphoedema.' },
      { fact: 'chemo-radio', label: 'Cancer, with drugs or radiation', explain: 'Now or in the last months.' },
    ],
  },
  {
    id: 'feeling',
    eachTime: false,
    text: 'Is there skin where you cannot feel warm and cold?',
    choices: [{ fact: 'numb-skin', label: 'Yes', explain: 'After an operation, from diabetes, or a nerve.' }],
  },
  {
    id: 'pregnancy',
    eachTime: true,
    mayKeep: true,
    text: 'Are you pregnant?',
    note: 'You need not say. We find a comfortable way to lie.',
    choices: [{ fact: 'pregnancy', label: 'Yes, or perhaps', explain: 'Skin is more tender then.' }],
  },
];

export interface QuestionAnswer {
  readonly id: string;
  readonly answer: 'some' | 'none' | 'unsure';
  readonly facts: readonly { readonly fact: Fact; readonly daysAgo?: number | undefined }[];
}
export type FormAnswers = readonly QuestionAnswer[];

/** True where the client has chosen something, said "none" or "not sure". */
export const isAnswered = (answers: FormAnswers, id: string): boolean =>
  answers.some((a) => a.id === id && (a.answer !== 'some' || a.facts.length > 0));

export interface AnswersAsFacts {
  readonly found: readonly FoundFact[];
  /** Facts answered with yes or no. */
  readonly asked: readonly Fact[];
  /** Facts the client was not sure about: the practitioner asks. */
  readonly unsure: readonly Fact[];
}

/** The form's answers as facts of the consultation; what is unanswered is neither found nor asked. */
export function factsOfAnswers(answers: FormAnswers, on: CivilDate): AnswersAsFacts {
  const found: FoundFact[] = [];
  const asked: Fact[] = [];
  const unsure: Fact[] = [];
  for (const question of QUESTIONS) {
    const answer = answers.find((a) => a.id === question.id);
    if (!answer || !isAnswered(answers, question.id)) continue;
    const facts = question.choices.map((c) => c.fact);
    const chosen = answer.answer === 'some' ? answer.facts.filter((f) => facts.includes(f.fact)) : [];
    const hasWhen = (fact: Fact): boolean => question.choices.some((c) => c.fact === fact && c.when === true);
    found.push(
      ...chosen.map(({ fact, daysAgo }): FoundFact =>
        hasWhen(fact) ? { fact, lastOn: addDays(on, -Math.max(0, daysAgo ?? 0)) } : { fact },
      ),
    );
    if (answer.answer === 'unsure' && question.mayKeep !== true) unsure.push(...facts);
    else asked.push(...facts);
  }
  return { found, asked, unsure };
}

// All words that a client takes home, in one place and by language: another language is another catalogue of the same
// keys. English ships. What the practitioner reads stays English.

const ENGLISH = {
  name: 'English',
  locale: 'en-GB',
  care: {
    gel: 'cool gel or unperfumed lotion again',
    deodorant: 'deodorant again',
    makeUp: 'make-up again',
    sport: 'sport and anything perfumed again',
    heat: 'hot bath, sauna, sun and tight clothing again',
    scrub: 'gentle scrub, then regularly; moisturise daily',
    pointsGone: 'small red points should be gone',
    washesOff: 'anything sticky left washes off with warm water',
    acids: 'last day for peels, acids and resurfacing',
    scrubBefore: 'gentle scrub, the last before the visit',
    stimulants: 'from now on no coffee, alcohol or other stimulants',
    nothingOn: 'nothing on the skin; the visit',
    noShaving: 'Don’t shave: it sets the wax back.',
    ring: 'Still red the day after, or a blister: get in touch.',
  },
  home: {
    scrub: 'a gentle scrub two or three times a week, from the third day',
    moisturise: 'moisturise daily, the growing hair too',
    'no-shaving': 'no shaving in between',
    'hands-off': 'no picking at bumps or hairs under the skin',
    loose: 'loose, soft clothes where it rubs',
    sun: 'keep the skin out of strong sun',
  },
  card: {
    title: 'After your wax',
    atHome: 'At home',
    beforeIt: 'Before it',
    today: 'Today',
    now: 'now',
    weeks: (n: number): string => `${n} wk`,
    finished: (when: string): string => `finished ${when}`,
    countedFrom: (when: string): string => `counted from ${when}`,
    at: (day: string, time: string): string => `${day} at ${time}`,
    readyFrom: (day: string): string => `The hair is ready from about ${day}.`,
    withWhom: (who: string, minutes: number): string => `${who}, ${minutes} minutes`,
    nextVisit: (when: string, who: string, minutes: number): string =>
      `Next visit: ${when}, with ${who}, ${minutes} minutes.`,
  },
  post: {
    yourVisit: (when: string): string => `Your visit: ${when}.`,
    tellUs:
      'If you take a new medicine, or your skin is sunburnt or sore, tell us before you come. Never stop a medicine for it.',
    offer: (when: string, who: string, minutes: number): string =>
      `A place has come free: ${when}, with ${who}, ${minutes} minutes. Tell us whether it suits you; until then it is not kept.`,
  },
} as const;

/** Keys of one group of the catalogue with words in any language. */
type Words<T> = { readonly [K in keyof T]: T[K] extends string ? string : T[K] };
export type CareCatalogue = {
  readonly [G in keyof typeof ENGLISH]: G extends 'name' | 'locale' ? string : Words<(typeof ENGLISH)[G]>;
};
export type CareText = keyof (typeof ENGLISH)['care'];

const CATALOGUES: Readonly<Record<string, CareCatalogue>> = { en: ENGLISH };

/** Languages that ship, by their tag (BCP 47), each named in itself. */
export const CARE_LANGUAGES: readonly { readonly tag: string; readonly name: string }[] = Object.entries(
  CATALOGUES,
).map(([tag, { name }]) => ({ tag, name }));

/** The words of a language; English where it is not there, or nobody has said. */
export const careCatalogue = (tag: string | undefined): CareCatalogue => CATALOGUES[tag ?? 'en'] ?? ENGLISH;

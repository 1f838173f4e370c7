// The studio's own words of a message, with places in braces that are filled when it is written.

export const MESSAGE_KINDS = ['reminder', 'offer'] as const;
export type MessageKind = (typeof MESSAGE_KINDS)[number];

export const PLACE_WORDS = {
  name: 'first name',
  when: 'day and time',
  who: 'who does it',
  minutes: 'how long it takes',
  studio: 'name of the studio',
  before: 'what to leave before it',
} as const;
export type MessagePlace = keyof typeof PLACE_WORDS;

/** Places that a message may have, and those that it must not be without. */
export const PLACES_OF: Readonly<
  Record<MessageKind, { readonly may: readonly MessagePlace[]; readonly must: readonly MessagePlace[] }>
> = {
  // what has to be left before a visit is a caution: a reminder without it is none
  reminder: { may: ['name', 'when', 'who', 'minutes', 'studio', 'before'], must: ['when', 'before'] },
  offer: { may: ['name', 'when', 'who', 'minutes', 'studio'], must: ['when'] },
};

const BRACES = /\{([^{}\n]{0,40})\}/g;

/** What is wrong with the words of a message; null = nothing. */
export function templateFault(kind: MessageKind, words: string): string | null {
  if (words.trim() === '') return null;
  const { may, must } = PLACES_OF[kind];
  const used = [...words.matchAll(BRACES)].map(([, place = '']) => place.trim());
  const unknown = used.find((p) => !may.some((m) => m === p));
  if (unknown !== undefined) {
    return `{${unknown}} is no place of this message: there are ${may.map(braced).join(', ')}.`;
  }
  const missing = must.find((m) => !used.includes(m));
  if (missing !== undefined) return `${braced(missing)} is missing: ${PLACE_WORDS[missing]} must stand in it.`;
  return /[{}]/.test(words.replaceAll(BRACES, '')) ? 'A brace stands alone: places are written like {when}.' : null;
}
const braced = (place: MessagePlace): string => `{${place}}`;

/** The words with every place filled; what is filled in is never read as a place. */
export const fillTemplate = (words: string, values: Readonly<Record<MessagePlace, string>>): string =>
  words.replaceAll(BRACES, (whole: string, place: string) => {
    const key = place.trim();
    return key in values ? values[key as MessagePlace] : whole; // a key of values
  });

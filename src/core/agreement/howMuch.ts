// How much is taken off, zone by zone, in plain descriptions instead of menu names. The first choice of a zone is its
// usual one.

import { ZONES, type ZoneId } from '../anatomy';

export interface HowMuch {
  readonly id: string;
  readonly label: string;
  readonly says: string;
  /** No longer offered: there is no line on the skin that it names; what was agreed once keeps its words. */
  readonly retired?: true;
  /** Of a retired one: what comes nearest to it and takes no more; none where that is for the client to say. */
  readonly instead?: string;
}

const ALL: HowMuch = { id: 'all', label: 'All of it', says: 'Everything on this zone comes off.' };
const TIDY: HowMuch = {
  id: 'strays',
  label: 'Strays only',
  says: 'Only what stands outside the usual line.',
  retired: true,
};

const BROW: readonly HowMuch[] = [
  { id: 'natural', label: 'Natural', says: 'Strays only; the outline stays where it is.' },
  { id: 'tidy', label: 'Tidy', says: 'Strays, and a clean lower edge; the border moves by at most a hair’s breadth.' },
  {
    id: 'reshape',
    label: 'Reshape',
    says: 'The border comes nearer in small steps; the mirror after each, and one can end at any step.',
  },
];

const CHOICES: Readonly<Partial<Record<ZoneId, readonly HowMuch[]>>> = {
  brow: BROW,
  'between-brows': [ALL, { id: 'gap', label: 'Only the gap', says: 'The middle; the inner ends of the brows stay.' }],
  'upper-lip': [ALL, { id: 'corners', label: 'Corners only', says: 'The darker hairs at the corners of the mouth.' }],
  chin: [ALL, TIDY],
  'jaw-throat': [ALL, TIDY],
  'cheek-sideburn': [
    { id: 'fade', label: 'Let it fade', says: 'Thinned towards the hairline, no hard edge.' },
    { id: 'line', label: 'Clear line', says: 'Off up to a line below the sideburn.' },
    ALL,
  ],
  'bikini-edge': [{ id: 'edge', label: 'Edge', says: 'What shows outside underwear.' }],
  'bikini-extended': [{ id: 'extended', label: 'Extended', says: 'What shows outside a thong, front and side.' }],
  'front-complete': [
    { id: 'front', label: 'Front complete', says: 'Everything at the front.' },
    { id: 'front-strip', label: 'Front, a strip stays', says: 'All but a strip in the middle.' },
  ],
  'buttock-crease': [{ id: 'crease', label: 'With the crease', says: 'Between the buttocks.' }],
  shoulder: [
    { id: 'fade', label: 'Let it fade', says: 'Thinned towards the arm with small dabs, no hard border.' },
    { id: 'line', label: 'Clear line', says: 'Off up to a line above the curve of the shoulder.' },
    ALL,
  ],
  'upper-back': [ALL, { id: 'fade', label: 'Let it fade', says: 'Thinned towards the shoulders and the nape.' }],
  nape: [{ id: 'line', label: 'Below the hairline', says: 'What grows below the cut line.' }, ALL],
  chest: [
    ALL,
    { id: 'middle-only', label: 'The middle only', says: 'The middle comes off up to a line on each side.' },
    {
      id: 'middle',
      label: 'Thin the middle',
      says: 'The middle thinned, the rest stays.',
      retired: true,
      instead: 'middle-only',
    },
  ],
  'lower-leg-front': [ALL, { id: 'to-knee', label: 'Up to below the knee', says: 'The knee itself stays as it is.' }],
};

const EVER: readonly HowMuch[] = [ALL];

/** Choices of a zone; never empty. */
export const howMuchFor = (zone: ZoneId): readonly HowMuch[] => (CHOICES[zone] ?? EVER).filter((c) => !c.retired);

/** A choice as it is offered now: itself, or what takes its place; undefined where the client has to be asked anew. */
export function offeredChoice(zone: ZoneId, choice: string | undefined): string | undefined {
  const found = (CHOICES[zone] ?? EVER).find((c) => c.id === choice);
  return found?.retired ? found.instead : found?.id;
}

/** `Brow: natural` and what it says, for the record and the client's eye. */
export function howMuchInWords(zone: ZoneId, choice: string): string {
  const found = (CHOICES[zone] ?? EVER).find((c) => c.id === choice) ?? howMuchFor(zone)[0] ?? ALL;
  return `${ZONES[zone].name}: ${found.label.toLowerCase()}. ${found.says}`;
}

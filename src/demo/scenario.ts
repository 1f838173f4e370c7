// The invented studio: Saltmarsh Row, beside a rowing and open-water swimming club, three weeks before a regatta.
// Nobody and nothing here exists. Dates are relative to the day of loading.

import type { Side, ZoneId } from '../core/anatomy';
import type { DensityPlace, Mark, Stroke } from '../core/field';
import type { FoundFact } from '../core/screening';
import { addDays } from '../core/shared';
import type { CardReaction, PatchTest } from '../server/db/schema';

export interface DemoPerson {
  readonly id: string;
  readonly name: string;
  readonly level: 'trainee' | 'practised' | 'expert';
}

export const PEOPLE: readonly DemoPerson[] = [
  { id: 'ines', name: 'Ines', level: 'practised' },
  { id: 'bao', name: 'Bao', level: 'expert' },
  { id: 'rook', name: 'Rook', level: 'trainee' },
];

export interface DemoClient {
  readonly id: string;
  readonly name: string;
  readonly byline: string;
  readonly ageYears: number;
  readonly note: string;
  readonly phone: string;
  readonly zones: readonly { readonly zone: ZoneId; readonly side: Side }[];
  /** What was agreed where it is not the usual. */
  readonly agreed?: Readonly<Partial<Record<ZoneId, string>>>;
  readonly person: string;
  readonly coarseness: number;
  readonly density: number;
  readonly curl?: number;
  readonly sensitivity: number;
  readonly skin: 'dry' | 'normal' | 'oily';
  readonly ingrownProne?: boolean;
  readonly rateFactor: number;
  /** Days between visits, oldest first; the last one counts to the visit before today. Empty = never waxed. */
  readonly intervals: readonly number[];
  /** Days since the last visit. */
  readonly sinceLast: number;
  readonly shaved?: boolean;
  readonly standing?: readonly FoundFact[];
  readonly noConsent?: boolean;
  readonly marks?: readonly Mark[];
  readonly strokes?: readonly Stroke[];
  readonly densities?: readonly DensityPlace[];
  /** By the day of loading. */
  readonly reactions?: (day: string) => readonly CardReaction[];
  readonly patchTests?: (day: string) => readonly PatchTest[];
  /** A visit that was put off or declined, so many days ago. */
  readonly notDone?: {
    readonly daysAgo: number;
    readonly endedAs: 'postponed' | 'declined';
    readonly fact: FoundFact['fact'];
  };
  readonly stature?: number;
  readonly mass?: number;
  /** A booking that nobody came to, so many days ago. */
  readonly missedDaysAgo?: number;
  /** Today at this wall time, or in so many days. */
  readonly booked?: {
    readonly inDays: number;
    readonly hour: number;
    readonly minute: number;
    readonly minutes: number;
  };
}

const underarms = [
  { zone: 'underarm', side: 'left' },
  { zone: 'underarm', side: 'right' },
] as const;
const legs = [
  { zone: 'lower-leg-front', side: 'left' },
  { zone: 'lower-leg-front', side: 'right' },
] as const;
const brows = [
  { zone: 'brow', side: 'left' },
  { zone: 'brow', side: 'right' },
  { zone: 'between-brows', side: 'middle' },
] as const;
const lip = [{ zone: 'upper-lip', side: 'middle' }] as const;
const today = (hour: number, minute: number, minutes: number): NonNullable<DemoClient['booked']> => ({
  inDays: 0,
  hour,
  minute,
  minutes,
});

export const CLIENTS: readonly DemoClient[] = [
  {
    id: 'ottilie',
    name: 'Ottilie Brandvik',
    byline: 'rows in the two',
    ageYears: 34,
    note: 'Quiet, please. Likes to know the count.',
    phone: '0555 0101',
    zones: underarms,
    person: 'ines',
    coarseness: 4,
    density: 3,
    sensitivity: 3,
    skin: 'normal',
    rateFactor: 1.05,
    intervals: [44, 41, 38, 39, 36, 37, 35, 36, 35, 36, 35, 36],
    sinceLast: 35,
    standing: [{ fact: 'blood-thinner' }],
    marks: [{ kind: 'mole', at: [5.6, 9.2], radiusMm: 3 }],
    stature: 171,
    mass: 66,
    booked: today(9, 15, 40),
  },
  {
    id: 'corwin',
    name: 'Corwin Asare',
    byline: 'strokes the eight',
    ageYears: 27,
    note: 'Tall; wants smooth shins for the boat.',
    phone: '0555 0102',
    zones: legs,
    person: 'ines',
    coarseness: 4,
    density: 4,
    sensitivity: 2,
    skin: 'dry',
    rateFactor: 1.1,
    intervals: [52, 45, 44, 41, 40, 40, 37],
    missedDaysAgo: 75,
    sinceLast: 39,
    stature: 191,
    mass: 88,
    densities: [
      { at: [5, 36], radiusCm: 6, density: 2 },
      { at: [4, 30], radiusCm: 5, density: 2 },
    ],
    booked: today(10, 15, 65),
  },
  {
    id: 'marit',
    name: 'Marit Ovesen',
    byline: 'open-water swimmer',
    ageYears: 41,
    note: 'Comes early before races.',
    phone: '0555 0103',
    zones: lip,
    person: 'ines',
    coarseness: 2,
    density: 2,
    sensitivity: 4,
    skin: 'dry',
    rateFactor: 0.9,
    intervals: [30, 27, 29, 26, 28, 25, 27],
    sinceLast: 12,
    booked: today(11, 40, 30),
  },
  {
    id: 'teodora',
    name: 'Teodora Lindqvist',
    byline: 'plays the organ',
    ageYears: 52,
    note: 'Prefers talking about music.',
    phone: '0555 0104',
    zones: legs,
    person: 'bao',
    coarseness: 2,
    density: 2,
    sensitivity: 2,
    skin: 'normal',
    rateFactor: 0.95,
    intervals: [49, 48, 44, 46, 47, 45],
    sinceLast: 46,
    stature: 163,
    mass: 58,
    booked: today(9, 15, 50),
  },
  {
    id: 'jory',
    name: 'Jory Pelham',
    byline: 'coxes the junior four',
    ageYears: 16,
    note: '',
    phone: '0555 0105',
    zones: underarms,
    person: 'bao',
    coarseness: 3,
    density: 3,
    sensitivity: 3,
    skin: 'normal',
    rateFactor: 1,
    intervals: [],
    sinceLast: 0,
    noConsent: true,
    booked: today(10, 40, 35),
  },
  {
    id: 'anselm',
    name: 'Anselm Roux',
    byline: 'pastry cook, hot ovens',
    ageYears: 38,
    note: 'Sweats: powder between strips.',
    phone: '0555 0106',
    zones: underarms,
    person: 'rook',
    coarseness: 4,
    density: 4,
    curl: 3,
    sensitivity: 3,
    skin: 'oily',
    rateFactor: 1.15,
    intervals: [],
    sinceLast: 0,
    shaved: true,
    booked: today(12, 0, 45),
  },
  {
    id: 'petra',
    name: 'Petra Vantol',
    byline: 'coaches the women',
    ageYears: 45,
    note: 'Sun holiday after the regatta.',
    phone: '0555 0107',
    zones: [...legs, ...underarms],
    person: 'bao',
    coarseness: 3,
    density: 3,
    sensitivity: 3,
    skin: 'normal',
    rateFactor: 1,
    intervals: [42, 38, 36, 35, 36, 34, 35],
    sinceLast: 20,
    booked: { inDays: 14, hour: 10, minute: 0, minutes: 90 },
  },
  {
    id: 'idris',
    name: 'Idris Callow',
    byline: 'ferry pilot',
    ageYears: 59,
    note: 'Blood thinner since spring, asked about it each time.',
    phone: '0555 0108',
    zones: underarms,
    person: 'ines',
    coarseness: 5,
    density: 4,
    curl: 4,
    sensitivity: 2,
    skin: 'dry',
    rateFactor: 1.05,
    intervals: [47, 44, 42, 41, 43],
    sinceLast: 30,
    standing: [{ fact: 'blood-thinner' }, { fact: 'diabetes' }],
    notDone: { daysAgo: 82, endedAs: 'declined', fact: 'numb-skin' },
  },
  {
    id: 'saoirse',
    name: 'Saoirse Quillan',
    byline: 'swims before work',
    ageYears: 29,
    note: 'Rosin: red for two days in March, patch test since.',
    phone: '0555 0109',
    zones: [...underarms, ...lip],
    person: 'ines',
    coarseness: 3,
    density: 3,
    sensitivity: 5,
    skin: 'dry',
    ingrownProne: true,
    rateFactor: 0.92,
    intervals: [36, 33, 32, 30, 33, 31, 30],
    sinceLast: 24,
    standing: [{ fact: 'allergy-rosin' }, { fact: 'earlier-reaction' }],
    reactions: (day) => [
      {
        id: 'r1',
        on: addDays(day, -240),
        what: 'redness',
        product: 'cream-hard',
        words: 'Both underarms red for two days.',
      },
    ],
    patchTests: (day) => [
      {
        id: 'p1',
        product: 'film-hard',
        place: 'inner forearm',
        laidOn: addDays(day, -236),
        readOn: addDays(day, -234),
        result: 'calm',
      },
      {
        id: 'p2',
        product: 'sugar-firm',
        place: 'inner forearm',
        laidOn: addDays(day, -204),
        readOn: addDays(day, -202),
        result: 'calm',
      },
    ],
    booked: { inDays: 8, hour: 16, minute: 30, minutes: 45 },
  },
  {
    id: 'bram',
    name: 'Bram Oosterling',
    byline: 'boatwright',
    ageYears: 33,
    note: 'Lost skin once elsewhere: soft wax laid twice.',
    phone: '0555 0110',
    zones: legs,
    person: 'bao',
    coarseness: 5,
    density: 4,
    sensitivity: 3,
    skin: 'normal',
    rateFactor: 1.2,
    intervals: [36],
    missedDaysAgo: 61,
    sinceLast: 33,
    standing: [{ fact: 'earlier-reaction' }],
  },
  {
    id: 'wilhelmina',
    name: 'Wilhelmina Tresk-Abernathy van der Saltmarsh',
    byline: 'club secretary, keeps the minutes of every meeting',
    ageYears: 67,
    note: 'Moles on the left shin: leave them alone.',
    phone: '0555 0111',
    zones: legs,
    person: 'rook',
    coarseness: 1,
    density: 1,
    sensitivity: 4,
    skin: 'dry',
    rateFactor: 0.8,
    intervals: [58, 60],
    sinceLast: 41,
    notDone: { daysAgo: 49, endedAs: 'postponed', fact: 'sunburn' },
    marks: [
      { kind: 'mole', at: [6, 14], radiusMm: 3 },
      { kind: 'vein', at: [10, 24], radiusMm: 6 },
    ],
  },
  {
    id: 'lucia',
    name: 'Lúcia Penhallow',
    byline: 'bow seat, new this season',
    ageYears: 23,
    note: 'First time anywhere.',
    phone: '0555 0112',
    zones: [...underarms, ...lip],
    person: 'ines',
    coarseness: 3,
    density: 2,
    sensitivity: 3,
    skin: 'oily',
    rateFactor: 1,
    intervals: [],
    sinceLast: 0,
    booked: { inDays: 2, hour: 9, minute: 0, minutes: 60 },
  },
  {
    id: 'hedda',
    name: 'Hedda Strand',
    byline: 'lifeguard on the slipway',
    ageYears: 31,
    note: 'Wants the tail kept long.',
    phone: '0555 0113',
    zones: brows,
    agreed: { brow: 'tidy' },
    person: 'ines',
    coarseness: 2,
    density: 2,
    sensitivity: 3,
    skin: 'normal',
    rateFactor: 1.05,
    intervals: [31, 29, 28],
    missedDaysAgo: 49,
    sinceLast: 26,
    booked: { inDays: 3, hour: 14, minute: 0, minutes: 30 },
  },
  {
    id: 'juno',
    name: 'Juno Farrow',
    byline: 'junior sculler',
    ageYears: 15,
    note: '',
    phone: '0555 0114',
    zones: underarms,
    person: 'bao',
    coarseness: 2,
    density: 2,
    sensitivity: 3,
    skin: 'normal',
    rateFactor: 1,
    intervals: [],
    sinceLast: 0,
    noConsent: true,
    booked: { inDays: 5, hour: 11, minute: 0, minutes: 35 },
  },
];

/** Days from loading to the regatta. */
export const REGATTA_IN_DAYS = 21;

/** What stands on the warmer this morning. */
export const POTS: readonly {
  readonly productId: string;
  readonly waxG: number;
  readonly setC: number | null;
  readonly lot: string;
}[] = [
  { productId: 'film-hard', waxG: 310, setC: 57, lot: 'F-207' },
  { productId: 'cream-hard', waxG: 420, setC: 58, lot: 'C-118' },
  { productId: 'sugar-firm', waxG: 260, setC: null, lot: 'S-4' },
];

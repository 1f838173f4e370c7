// Past visits as a table of anybody's: the columns are matched to what they hold, guessed from their headings and their
// cells; every bad line is named with its reason, and whoever imports takes all of them or none.

import type { Family } from '../core/anatomy';
import type { Result } from '../core/shared';
import { noPause, readRows, unshielded, type Pause } from './csvRows';
import {
  dateIn,
  datesOf,
  lengthUnitOf,
  millimetresIn,
  minutesIn,
  numberIn,
  timeUnitOf,
  type DateStyle,
  type LengthUnit,
  type TimeUnit,
} from './tableGuess';
import { familyIn, type NamedZones } from './zoneWords';

export const PAST_FIELDS = [
  'client',
  'surname',
  'born',
  'phone',
  'on',
  'what',
  'product',
  'minutes',
  'paid',
  'length',
  'words',
] as const;
export type PastField = (typeof PAST_FIELDS)[number];

/** Which column holds what, by its number from 0, and how it is read. */
export interface PastMapping {
  readonly columns: Readonly<Partial<Record<PastField, number>>>;
  readonly dates: DateStyle;
  readonly lengths: LengthUnit;
  readonly times: TimeUnit;
}

/** A table as it was understood before anybody has looked: what is not sure is left open. */
export interface PastGuess {
  readonly headings: readonly string[];
  readonly rows: number;
  /** The first lines as they stand. */
  readonly sample: readonly (readonly string[])[];
  readonly columns: PastMapping['columns'];
  /** More than one = the dates can be read so or so; none = no column of dates was found. */
  readonly dates: readonly DateStyle[];
  readonly lengths: LengthUnit;
  readonly times: TimeUnit;
}

export interface PastLine {
  readonly client: string;
  readonly bornOn: string | null;
  readonly phone: string;
  readonly onDate: string;
  readonly what: string;
  /** Null where the words are no zones that are known here. */
  readonly zones: NamedZones['zones'] | null;
  readonly family: Family | null;
  readonly product: string;
  readonly minutes: number | null;
  readonly paid: number | null;
  readonly lengthMm: number | null;
  readonly words: string;
}
export interface ReadPast {
  /** Line of the file, the heading being line 1. */
  readonly line: number;
  readonly name: string;
  readonly faults: readonly string[];
  /** Null where the line has a fault. */
  readonly past: PastLine | null;
}

export const MOST_PAST = 250_000;
const SAMPLE = 4;
/** So many cells of a column tell what it holds. */
const LOOKED_AT = 2000;

/** Words of a heading, by what the column holds; the first that fits counts. */
const SIGNS: readonly (readonly [PastField, RegExp])[] = [
  ['surname', /^(?:last|family)[ _-]?name$|^surname$/],
  ['born', /birth|born|dob/],
  ['client', /^(?:client|customer|guest|name|who|patient|first[ _-]?name|full[ _-]?name)|client[ _-]?name/],
  ['phone', /phone|mobile|tel\b/],
  ['on', /date|^on$|^day$|visit(?:ed)?[ _-]?on/],
  ['product', /product|wax|paste/],
  ['what', /what|zone|area|service|treatment|item/],
  ['minutes', /\bmin|dur|length of visit|time spent|hours/],
  ['paid', /paid|price|amount|total|fee|cost/],
  ['words', /note|comment|remark|words/],
  ['length', /length|\bmm\b|grown/],
];

function columnsOf(headings: readonly string[]): PastMapping['columns'] {
  const columns: Partial<Record<PastField, number>> = {};
  headings.forEach((heading, i) => {
    const found = SIGNS.find(
      ([field, sign]) => columns[field] === undefined && sign.test(heading.trim().toLowerCase()),
    );
    if (found) columns[found[0]] = i;
  });
  return columns;
}

/** Looks at a table; what it cannot tell it leaves open. */
export function guessPast(rows: readonly (readonly string[])[], today: string): PastGuess {
  const [headings = [], ...body] = rows;
  const columns = columnsOf(headings);
  const cells = (field: PastField): readonly string[] => {
    const at = columns[field];
    return at === undefined ? [] : body.slice(0, LOOKED_AT).map((r) => r[at] ?? '');
  };
  const heading = (field: PastField): string => headings[columns[field] ?? -1] ?? '';
  return {
    ...{ headings, rows: body.filter(isFilled).length, sample: body.filter(isFilled).slice(0, SAMPLE), columns },
    // all of them: one day beyond the twelfth tells the styles apart
    dates:
      columns.on === undefined
        ? []
        : datesOf(
            body.map((r) => r[columns.on ?? -1] ?? ''),
            today,
          ),
    lengths: lengthUnitOf(heading('length'), cells('length')),
    times: timeUnitOf(heading('minutes'), cells('minutes')),
  };
}

const isFilled = (row: readonly string[]): boolean => row.some((c) => c.trim() !== '');

export const pastRows = (csv: string, pause: Pause = noPause): Promise<Result<readonly (readonly string[])[]>> =>
  readRows(csv, MOST_PAST + 1, pause);

const LONGEST = { client: 120, phone: 60, what: 300, product: 120, words: 2000 } as const;
const OLDEST = '1950-01-01';

/** One line, as the mapping reads it. */
export function readPastLine(
  cells: readonly string[],
  line: number,
  { columns, dates, lengths, times }: PastMapping,
  { today, zonesOf }: { readonly today: string; readonly zonesOf: (words: string) => NamedZones['zones'] | null },
): ReadPast {
  const faults: string[] = [];
  const text = (field: PastField): string => unshielded((cells[columns[field] ?? -1] ?? '').trim());
  const client = [text('client'), text('surname')].filter((t) => t !== '').join(' ');
  const fault = (field: PastField, why: string): null => {
    faults.push(`${FIELD_NAMES[field]}: ${why}`);
    return null;
  };
  const date = (field: 'on' | 'born'): string | null => {
    if (text(field) === '') return null;
    const read = dateIn(text(field), dates);
    if (read === null || read > today || read < OLDEST) {
      return fault(field, `“${text(field)}” is not a day that is past, written ${DATE_WORDS[dates]}.`);
    }
    return read;
  };
  const number = (field: 'minutes' | 'paid' | 'length', most: number, read: (t: string) => number | null) => {
    if (text(field) === '') return null;
    const value = read(text(field));
    return value !== null && value >= 0 && value <= most ? value : fault(field, `“${text(field)}” cannot be read.`);
  };
  for (const [field, most] of Object.entries(LONGEST)) {
    // keys of LONGEST are fields
    if (text(field as keyof typeof LONGEST).length > most) fault(field as PastField, `longer than ${most} letters.`);
  }
  if (client === '') fault('client', 'is missing.');
  if (text('on') === '') fault('on', 'is missing.');
  const past: PastLine = {
    ...{ client, phone: text('phone'), what: text('what'), product: text('product'), words: text('words') },
    ...{ bornOn: date('born'), onDate: date('on') ?? '', zones: zonesOf(text('what')) },
    family: familyIn(text('product')) ?? familyIn(text('what')),
    minutes: number('minutes', 900, (t) => minutesIn(t, times)),
    paid: number('paid', 1_000_000, numberIn),
    lengthMm: number('length', 300, (t) => millimetresIn(t, lengths)),
  };
  return { line, name: client, faults, past: faults.length === 0 ? past : null };
}

export const FIELD_NAMES: Readonly<Record<PastField, string>> = {
  client: 'Client',
  surname: 'Surname',
  born: 'Born',
  phone: 'Phone',
  on: 'Day of the visit',
  what: 'What was done',
  product: 'Worked with',
  minutes: 'Time it took',
  paid: 'Paid',
  length: 'Length of the hair',
  words: 'Note',
};
export const DATE_WORDS: Readonly<Record<DateStyle, string>> = {
  ymd: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
  named: 'with the month in words',
};

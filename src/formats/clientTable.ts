// A table of clients of another programme, brought into the columns of ours: which column holds what is guessed from
// the headings, how its dates are written and its units from the cells; what two readings fit a person says.

import { stringify } from 'csv-stringify/sync';
import { CSV_COLUMNS } from './clientCsv';
import { unshielded } from './csvRows';
import { dateIn, datesOf, numberIn, type DateStyle } from './tableGuess';

const [NAME, ...OTHERS] = CSV_COLUMNS;
export const CLIENT_FIELDS = [NAME, 'surname', ...OTHERS] as const;
export type ClientField = (typeof CLIENT_FIELDS)[number];
export const STATURE_UNITS = ['cm', 'm', 'in'] as const;
export type StatureUnit = (typeof STATURE_UNITS)[number];
export const MASS_UNITS = ['kg', 'lb'] as const;
export type MassUnit = (typeof MASS_UNITS)[number];

/** Which column holds what, by its number from 0, and how it is read. */
export interface ClientMapping {
  readonly columns: Readonly<Partial<Record<ClientField, number>>>;
  readonly dates: DateStyle;
  readonly statures: StatureUnit;
  readonly masses: MassUnit;
}

export interface ClientGuess {
  /** True where the headings are our own: there is nothing to match. */
  readonly isOurs: boolean;
  readonly headings: readonly string[];
  /** The first lines as they stand. */
  readonly sample: readonly (readonly string[])[];
  readonly columns: ClientMapping['columns'];
  /** More than one = the dates can be read so or so; none = no date was found. */
  readonly dates: readonly DateStyle[];
  readonly statures: StatureUnit;
  readonly masses: MassUnit;
}

export const CLIENT_FIELD_NAMES: Readonly<Record<ClientField, string>> = {
  name: 'Name',
  surname: 'Surname',
  known_by: 'Known by',
  born_on: 'Born',
  phone: 'Phone',
  note: 'Note',
  sensitivity: 'Sensitivity, 1 to 5',
  skin: 'Skin',
  ingrown_prone: 'Prone to ingrown hair',
  stature_cm: 'Height',
  mass_kg: 'Weight',
  consent_on: 'Consent on',
};

/** Words of a heading, by what the column holds; the first that fits counts. */
const SIGNS: readonly (readonly [ClientField, RegExp])[] = [
  ['surname', /^(?:last|family)[ _-]?name$|^surname$/],
  ['born_on', /birth|born|dob/],
  ['known_by', /known|nick|byline/],
  ['consent_on', /consent|signed/],
  ['name', /name|^client$|^customer$|^guest$/],
  ['phone', /phone|mobile|tel\b/],
  ['note', /note|comment|remark/],
  ['sensitivity', /sensitiv/],
  ['ingrown_prone', /ingrown/],
  ['skin', /skin/],
  ['stature_cm', /height|stature|tall/],
  ['mass_kg', /weight|mass/],
];

const SAMPLE = 4;
const isFilled = (row: readonly string[]): boolean => row.some((c) => c.trim() !== '');

/** Looks at a table; what it cannot tell it leaves open. */
export function guessClients(rows: readonly (readonly string[])[], today: string): ClientGuess {
  const [first = [], ...body] = rows;
  const headings = first.map((h) => h.trim());
  const plain = headings.map((h) => h.toLowerCase());
  const columns: Partial<Record<ClientField, number>> = {};
  plain.forEach((heading, i) => {
    const found = SIGNS.find(([field, sign]) => columns[field] === undefined && sign.test(heading));
    if (found) columns[found[0]] = i;
  });
  const cells = (field: ClientField): readonly string[] =>
    columns[field] === undefined ? [] : body.map((r) => r[columns[field] ?? -1] ?? '');
  const middle = (field: ClientField): number => {
    const numbers = cells(field)
      .flatMap((c) => numberIn(c) ?? [])
      .sort((a, b) => a - b);
    return numbers[Math.floor(numbers.length / 2)] ?? 0;
  };
  return {
    isOurs: plain.every((h) => (CSV_COLUMNS as readonly string[]).includes(h)) && plain.includes('name'),
    ...{ headings, columns, sample: body.filter(isFilled).slice(0, SAMPLE) },
    dates: datesOf([...cells('born_on'), ...cells('consent_on')], today),
    statures: statureUnitOf(headings[columns.stature_cm ?? -1] ?? '', middle('stature_cm')),
    masses: /lb|pound/i.test(headings[columns.mass_kg ?? -1] ?? '') ? 'lb' : 'kg',
  };
}

/** By the heading, else by what a height can be: nobody is three centimetres tall, or a hundred inches. */
function statureUnitOf(heading: string, middle: number): StatureUnit {
  if (/\bin(?:ch(?:es)?)?\b/i.test(heading)) return 'in';
  if (middle > 0 && middle < 3) return 'm';
  return middle >= 36 && middle < 90 ? 'in' : 'cm';
}

const CM: Readonly<Record<StatureUnit, number>> = { cm: 1, m: 100, in: 2.54 };
const KG: Readonly<Record<MassUnit, number>> = { kg: 1, lb: 0.453_592_37 };

/** A number in another unit; text that is none stays, so that its fault is named. */
function scaled(text: string, by: number): string {
  const value = text === '' ? null : numberIn(text);
  return value === null ? text : String(Math.round(value * by * 10) / 10);
}
/** Feet and inches, as 5'7". */
function statureOf(text: string, unit: StatureUnit): string {
  const [, feet, inches = '0'] = /^(\d)\s*(?:'|ft)\s*(\d{1,2})?/.exec(text) ?? [];
  return feet === undefined ? scaled(text, CM[unit]) : scaled(String(Number(feet) * 12 + Number(inches)), CM.in);
}

/** The table in our own columns, line by line as it stands: what cannot be read stays as it is, to be named. */
export function asOurTable(rows: readonly (readonly string[])[], mapping: ClientMapping): string {
  const { columns, dates, statures, masses } = mapping;
  const line = (cells: readonly string[]): readonly string[] => {
    const text = (field: ClientField): string => unshielded((cells[columns[field] ?? -1] ?? '').trim());
    const date = (field: ClientField): string => dateIn(text(field), dates) ?? text(field);
    const read: Readonly<Partial<Record<ClientField, string>>> = {
      name: [text('name'), text('surname')].filter((t) => t !== '').join(' '),
      ...{ born_on: date('born_on'), consent_on: date('consent_on') },
      ...{ stature_cm: statureOf(text('stature_cm'), statures), mass_kg: scaled(text('mass_kg'), KG[masses]) },
    };
    return CSV_COLUMNS.map((column) => read[column] ?? text(column));
  };
  return stringify([[...CSV_COLUMNS], ...rows.slice(1).map(line)]);
}

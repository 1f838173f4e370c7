// Clients as a table: one line a client, the columns of docs/formats.md. Every bad line is named with its reason;
// whoever imports takes all of them or none.

import { stringify } from 'csv-stringify/sync';
import { isCivilDate } from '../core/shared';
import { noPause, readRows, shielded, unshielded, type Pause } from './csvRows';

export const CSV_COLUMNS = [
  'name',
  'known_by',
  'born_on',
  'phone',
  'note',
  'sensitivity',
  'skin',
  'ingrown_prone',
  'stature_cm',
  'mass_kg',
  'consent_on',
] as const;
type Column = (typeof CSV_COLUMNS)[number];
type Line = Readonly<Partial<Record<Column, string>>>;

export interface CsvClient {
  readonly name: string;
  readonly byline: string;
  readonly bornOn: string | null;
  readonly phone: string;
  readonly note: string;
  readonly sensitivity: number;
  readonly skin: 'dry' | 'normal' | 'oily';
  readonly ingrownProne: boolean;
  readonly statureCm: number | null;
  readonly massKg: number | null;
  readonly consentOn: string | null;
}

export interface CsvLine {
  /** Line of the file, the heading being line 1. */
  readonly line: number;
  readonly name: string;
  readonly faults: readonly string[];
  /** Null where the line has a fault. */
  readonly client: CsvClient | null;
}

export interface CsvRead {
  /** Faults of the file as a whole: then there are no lines. */
  readonly faults: readonly string[];
  readonly lines: readonly CsvLine[];
}

const MOST_LINES = 20_000;
const LONGEST: Readonly<Partial<Record<Column, number>>> = { name: 120, known_by: 200, phone: 60, note: 4000 };
const YES: readonly string[] = ['yes', 'true', '1', 'x'];
const NO: readonly string[] = ['', 'no', 'false', '0'];

const isColumn = (name: string): name is Column => (CSV_COLUMNS as readonly string[]).includes(name);

function numberOf(text: string, column: string, min: number, max: number, faults: string[]): number | null {
  if (text === '') return null;
  const value = Number(text.replace(',', '.'));
  if (Number.isFinite(value) && value >= min && value <= max) return value;
  faults.push(`${column}: “${text}” is not a number from ${min} to ${max}.`);
  return null;
}

function dateOf(text: string, column: string, today: string, faults: string[]): string | null {
  if (text === '') return null;
  if (!isCivilDate(text)) faults.push(`${column}: “${text}” is not a date like 1990-05-31.`);
  else if (text > today) faults.push(`${column}: ${text} lies ahead.`);
  else return text;
  return null;
}

function readLine(raw: Line, line: number, today: string): CsvLine {
  const faults: string[] = [];
  const text = (c: Column): string => unshielded((raw[c] ?? '').trim());
  for (const [column, most] of Object.entries(LONGEST))
  // keys of LONGEST are columns
  {
    if (text(column as Column).length > most) faults.push(`${column}: longer than ${most} letters.`);
  }
  if (text('name') === '') faults.push('name: is missing.');
  const skin = text('skin') === '' ? 'normal' : text('skin').toLowerCase();
  if (skin !== 'dry' && skin !== 'normal' && skin !== 'oily') {
    faults.push(`skin: “${text('skin')}” is not dry, normal or oily.`);
  }
  const prone = text('ingrown_prone').toLowerCase();
  if (!YES.includes(prone) && !NO.includes(prone)) {
    faults.push(`ingrown_prone: “${text('ingrown_prone')}” is not yes or no.`);
  }
  const client: CsvClient = {
    name: text('name'),
    byline: text('known_by'),
    bornOn: dateOf(text('born_on'), 'born_on', today, faults),
    phone: text('phone'),
    note: text('note'),
    sensitivity: numberOf(text('sensitivity'), 'sensitivity', 1, 5, faults) ?? 3,
    skin: skin as CsvClient['skin'],
    ingrownProne: YES.includes(prone), // a wrong skin has been noted as a fault
    statureCm: numberOf(text('stature_cm'), 'stature_cm', 80, 250, faults),
    massKg: numberOf(text('mass_kg'), 'mass_kg', 15, 350, faults),
    consentOn: dateOf(text('consent_on'), 'consent_on', today, faults),
  };
  return { line, name: text('name'), faults, client: faults.length === 0 ? client : null };
}

/**
 * Reads a table of clients: comma or semicolon, quoted as usual, the first line naming the columns in any order; `name`
 * is needed.
 * @param pause awaited between lines; lets others have the thread now and then
 */
export async function readClientCsv(text: string, today: string, pause: Pause = noPause): Promise<CsvRead> {
  const fault = (message: string): CsvRead => ({ faults: [message], lines: [] });
  const rows = await readRows(text, MOST_LINES + 1, pause);
  if (!rows.ok) return fault(rows.error.message);
  const [heading = [], ...body] = rows.value;
  const columns = heading.map((c) => c.trim().toLowerCase());
  const unknown = columns.filter((c) => !isColumn(c));
  if (unknown.length > 0) {
    return fault(
      `Unknown ${unknown.length === 1 ? 'column' : 'columns'}: ${unknown.join(', ')}. Known are ${CSV_COLUMNS.join(', ')}.`,
    );
  }
  if (!columns.includes('name')) return fault('The column “name” is missing.');
  const twice = columns.find((c, i) => columns.indexOf(c) < i);
  if (twice) return fault(`The column “${twice}” is there twice.`);
  const filled = body
    .map((cells, i) => ({ cells, line: i + 2 }))
    .filter(({ cells }) => cells.some((c) => c.trim() !== ''));
  if (filled.length === 0) return fault('There is no client in it.');
  if (filled.length > MOST_LINES) return fault(`More than ${MOST_LINES} clients at once.`);
  const lines: CsvLine[] = [];
  for (const { cells, line } of filled) {
    const read = readLine(Object.fromEntries(columns.map((c, i) => [c, cells[i] ?? ''])), line, today);
    const unquoted = `${cells.length} cells for ${columns.length} columns: is a comma unquoted?`;
    lines.push(cells.length > columns.length ? { ...read, client: null, faults: [...read.faults, unquoted] } : read);
    await pause();
  }
  return { faults: [], lines };
}

/** The same columns out; a cell that a spreadsheet would take for a formula is made harmless. */
export const writeClientCsv = (clients: readonly CsvClient[], header = true): string =>
  stringify(
    clients.map((c): Record<Column, string | number> => ({
      name: shielded(c.name),
      known_by: shielded(c.byline),
      born_on: c.bornOn ?? '',
      phone: shielded(c.phone),
      note: shielded(c.note),
      sensitivity: c.sensitivity,
      skin: c.skin,
      ingrown_prone: c.ingrownProne ? 'yes' : 'no',
      stature_cm: c.statureCm ?? '',
      mass_kg: c.massKg ?? '',
      consent_on: c.consentOn ?? '',
    })),
    { header, columns: [...CSV_COLUMNS] },
  );

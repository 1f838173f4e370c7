import 'server-only';
import { randomUUID } from 'node:crypto';
import { readClientCsv, writeClientCsv, type CsvClient, type CsvLine, type CsvRead } from '../../formats/clientCsv';
import { asOurTable, guessClients, type ClientGuess, type ClientMapping } from '../../formats/clientTable';
import { readRows } from '../../formats/csvRows';
import { writeVcard } from '../../formats/vcard';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { refused, type ServiceResult } from '../errors';
import { sharedThread } from '../giveWay';
import { clientsAfter, insertClient, namesakes, type ClientRow } from '../repos/clientRepo';
import { insertImport, type ImportRow } from '../repos/importRepo';
import { readStudio } from '../repos/studioRepo';
import { EMPTY_PROFILE } from '../db/upSteps';
import { otherImport, type ImportProgress, type LinesIn } from './tableIn';

export interface ImportPreview {
  readonly faults: readonly string[];
  /** The first bad lines. */
  readonly lines: readonly Pick<CsvLine, 'line' | 'name' | 'faults'>[];
  readonly good: number;
  readonly bad: number;
}
/** So many bad lines are named at once. */
const MOST_NAMED = 200;
/** So many cards at once hold the thread for some milliseconds. */
const TAKEN_AT_ONCE = 25;

/** One more than is taken: that there are too many is said by the reading itself. */
const MOST_ROWS = 20_002;

const sameAs = (name: string, bornOn: string | null): string => `${name.trim().toLowerCase()}|${bornOn ?? ''}`;

/** Why a line that is right in itself cannot be taken; null where it can. */
function doubleFault(isThere: boolean, before: number | undefined): string | null {
  if (isThere) return 'This name and date of birth are in the card index already.';
  return before === undefined ? null : `The same client as on line ${before}.`;
}

const today = (db: Db, nowMs: number): string => civilDateAt(nowMs, readStudio(db)?.timeZone ?? 'UTC');

/** Reads a table and looks up every name, in slices beside the requests. */
async function read(db: Db, csv: string, nowMs: number): Promise<CsvRead> {
  const pause = sharedThread();
  const table = await readClientCsv(csv, today(db, nowMs), pause);
  const seen = new Map<string, number>();
  const lines: CsvLine[] = [];
  for (const l of table.lines) {
    await pause();
    if (!l.client) {
      lines.push(l);
      continue;
    }
    const key = sameAs(l.client.name, l.client.bornOn);
    const before = seen.get(key);
    seen.set(key, before ?? l.line);
    const isThere = namesakes(db, l.client.name).some((c) => sameAs(c.name, c.bornOn) === key);
    const fault = doubleFault(isThere, before);
    lines.push(fault === null ? l : { ...l, client: null, faults: [fault] });
  }
  return { faults: table.faults, lines };
}

/** What the columns of a table hold; with a mapping also the table as ours. */
export interface Matched extends ClientGuess {
  readonly csv: string | null;
}
export async function matchColumns(
  db: Db,
  csv: string,
  mapping: ClientMapping | undefined,
  nowMs: number,
): Promise<ServiceResult<Matched>> {
  const rows = await readRows(csv, MOST_ROWS, sharedThread());
  if (!rows.ok) return refused(`${rows.error.message} None was imported.`, 'csv');
  return ok({ ...guessClients(rows.value, today(db, nowMs)), csv: mapping ? asOurTable(rows.value, mapping) : null });
}

export interface ImportReady {
  readonly csv: string;
  readonly preview: ImportPreview;
}

/** What an import would do. */
export async function readImport(db: Db, csv: string, nowMs: number): Promise<ImportReady> {
  const { faults, lines } = await read(db, csv, nowMs);
  const bad = lines.filter((l) => l.client === null);
  const named = bad.slice(0, MOST_NAMED).map(({ line, name, faults: f }) => ({ line, name, faults: f }));
  return { csv, preview: { faults, lines: named, good: lines.length - bad.length, bad: bad.length } };
}

/**
 * Takes a table in, every line or none: it is written down whole first, and what is written down is taken in to the end
 * (`takeIn` of imports.ts), also after a stop of the server.
 */
export function startImport(db: Db, { csv, preview }: ImportReady, nowMs: number): ServiceResult<ImportProgress> {
  const { faults, good, bad } = preview;
  if (faults.length > 0 || bad > 0) {
    return refused(`${faults[0] ?? `${bad} of ${good + bad} lines cannot be taken.`} None was imported.`, 'csv');
  }
  const other = otherImport(db);
  if (other !== null) return refused(other, 'csv');
  const id = randomUUID();
  insertImport(db, {
    ...{ id, csv, onDate: today(db, nowMs), total: good, taken: 0, atMs: nowMs },
    ...{ kind: 'clients', state: 'taking', mapping: null },
  });
  return ok({ id, state: 'taking', taken: 0, total: good });
}

/** Cards of a table that was found good. */
export async function clientLines(row: ImportRow, pause: () => Promise<void> | undefined): Promise<LinesIn> {
  const { lines } = await readClientCsv(row.csv, row.onDate, pause);
  return {
    ...{ count: row.total, atOnce: TAKEN_AT_ONCE },
    write: (db, at) => {
      const client = lines[at]?.client;
      if (client) insertClient(db, { ...cardOf(client), importId: row.id, createdAtMs: row.atMs });
    },
  };
}

const cardOf = ({ name, byline, bornOn, phone, note, ...rest }: CsvClient) => ({
  id: randomUUID(),
  name,
  byline,
  bornOn,
  phone,
  note,
  profile: { ...EMPTY_PROFILE, ...rest },
});

/** Of a card that cannot be read its name and what stands beside the profile go out. */
const lineOf = ({ name, byline, bornOn, phone, note, profile }: ClientRow): CsvClient => ({
  name,
  byline,
  bornOn,
  phone,
  note,
  sensitivity: profile.sensitivity,
  skin: profile.skin,
  ingrownProne: profile.ingrownProne,
  statureCm: profile.statureCm,
  massKg: profile.massKg,
  consentOn: profile.consentOn,
});

/** So many cards at once hold the thread for some milliseconds. */
const AT_ONCE = 150;

/** Every client that is not put away, some hundred at a time. */
function* everyClient(db: Db): Generator<readonly ClientRow[]> {
  let after: { readonly name: string; readonly id: string } | null = null;
  for (;;) {
    const rows: readonly ClientRow[] = clientsAfter(db, after, AT_ONCE);
    const last = rows.at(-1);
    if (!last) return;
    yield rows;
    after = last;
  }
}

/** In the columns of the import. */
export function* exportClients(db: Db): Generator<string> {
  yield writeClientCsv([]);
  for (const rows of everyClient(db)) yield writeClientCsv(rows.map(lineOf), false);
}

/** As an address book. */
export function* exportVcards(db: Db): Generator<string> {
  for (const rows of everyClient(db)) yield rows.map(writeVcard).join('');
}

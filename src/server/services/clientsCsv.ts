import 'server-only';
import { randomUUID } from 'node:crypto';
import { readClientCsv, writeClientCsv, type CsvClient, type CsvLine, type CsvRead } from '../../formats/clientCsv';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import type { Db } from '../db/openDatabase';
import { atomically } from '../db/atomically';
import { notFound, refused, type ServiceResult } from '../errors';
import { sharedThread } from '../giveWay';
import { log } from '../log';
import { clientsAfter, insertClient, namesakes, type ClientRow } from '../repos/clientRepo';
import { forgetTable, insertImport, readImportRow, setTaken, unfinishedImports } from '../repos/importRepo';
import { readStudio } from '../repos/studioRepo';
import { EMPTY_PROFILE } from '../db/upSteps';

export interface ImportPreview {
  readonly faults: readonly string[];
  /** The first bad lines. */
  readonly lines: readonly Pick<CsvLine, 'line' | 'name' | 'faults'>[];
  readonly good: number;
  readonly bad: number;
}
export interface ImportProgress {
  readonly id: string;
  readonly taken: number;
  readonly total: number;
}

/** So many bad lines are named at once. */
const MOST_NAMED = 200;
/** So many cards at once hold the thread for some milliseconds. */
const TAKEN_AT_ONCE = 40;

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
 * ({@link takeIn}), also after a stop of the server.
 */
export function startImport(db: Db, { csv, preview }: ImportReady, nowMs: number): ServiceResult<ImportProgress> {
  const { faults, good, bad } = preview;
  if (faults.length > 0 || bad > 0) {
    return refused(`${faults[0] ?? `${bad} of ${good + bad} lines cannot be taken.`} None was imported.`, 'csv');
  }
  if (unfinishedImports(db).length > 0) return refused('Another table is still being taken in: wait for it.', 'csv');
  const id = randomUUID();
  insertImport(db, { id, csv, onDate: today(db, nowMs), total: good, taken: 0, atMs: nowMs });
  return ok({ id, taken: 0, total: good });
}

export function importProgress(db: Db, id: string): ServiceResult<ImportProgress> {
  const row = readImportRow(db, id);
  return row ? ok({ id, taken: row.taken, total: row.total }) : notFound('import');
}

/** Takes in what of a table is still to be taken, some cards a time. */
export async function takeIn(db: Db, id: string): Promise<void> {
  const row = readImportRow(db, id);
  if (!row) return;
  const pause = sharedThread();
  const { lines } = await readClientCsv(row.csv, row.onDate, pause);
  for (let at = row.taken; at < row.total; at += TAKEN_AT_ONCE) {
    const some = lines.slice(at, at + TAKEN_AT_ONCE);
    const taken = atomically(db, () => {
      // a request sent twice began it twice: whoever comes second leaves it to the first
      if (readImportRow(db, id)?.taken !== at) return refused('This part is taken in already.', 'csv');
      for (const l of some) if (l.client) insertClient(db, { ...cardOf(l.client), createdAtMs: row.atMs });
      setTaken(db, id, at + some.length);
      return ok(null);
    });
    if (!taken.ok) return;
    await pause();
  }
  forgetTable(db, id);
}

const AGAIN_MS = 30_000;

/** Takes a table in beside the requests; what a full disk, or another fault, stops is tried again. */
export function keepTakingIn(db: Db, id: string): void {
  takeIn(db, id).catch((error: unknown) => {
    log.error({ kind: error instanceof Error ? error.name : 'unknown' }, 'a table of clients waits to be taken in');
    setTimeout(() => keepTakingIn(db, id), AGAIN_MS).unref();
  });
}

/** Goes on with tables that a stop of the server has cut off. */
export function resumeImports(db: Db): void {
  for (const { id } of unfinishedImports(db)) keepTakingIn(db, id);
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

/** Every client that is not put away, in the columns of the import, some hundred lines at a time. */
export function* exportClients(db: Db): Generator<string> {
  yield writeClientCsv([]);
  let after: { readonly name: string; readonly id: string } | null = null;
  for (;;) {
    const rows: readonly ClientRow[] = clientsAfter(db, after, AT_ONCE);
    const last = rows.at(-1);
    if (!last) return;
    yield writeClientCsv(rows.map(lineOf), false);
    after = last;
  }
}

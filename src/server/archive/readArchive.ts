// Brings an archive in: built as a data file of its own, beside the studio's, by the migrations that it was made with
// and those that came since; looked through page by page; only then put in the place of a studio that is still empty.

import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import Database from 'better-sqlite3';
import yauzl from 'yauzl';
import { checkFile } from '../backup/backup';
import { DatabaseRefused } from '../db/fileFaults';
import { migrationsFolder, openDatabase } from '../db/openDatabase';
import { archivedTables, type Cell } from './tables';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, type ArchiveHead } from './writeArchive';

const NOTHING = 'Nothing was brought in.';
const refuse = (why: string): DatabaseRefused => new DatabaseRefused(`${why} ${NOTHING}`);
const MOST_HEAD = 1_000_000;
const LONGEST_LINE = 64_000_000;

class Zip {
  private constructor(
    private readonly zip: yauzl.ZipFile,
    private readonly entries: ReadonlyMap<string, yauzl.Entry>,
  ) {}

  static open(file: string): Promise<Zip> {
    return new Promise((resolve, reject) => {
      const no = (): void => reject(refuse('This is no archive that can be read.'));
      yauzl.open(file, { lazyEntries: true, autoClose: false }, (error, zip) => {
        if (error) return no();
        const entries = new Map<string, yauzl.Entry>();
        zip.on('entry', (entry: yauzl.Entry) => {
          entries.set(entry.fileName, entry);
          zip.readEntry();
        });
        zip.on('end', () => resolve(new Zip(zip, entries)));
        zip.on('error', no);
        zip.readEntry();
      });
    });
  }

  stream(name: string): Promise<Readable> {
    const entry = this.entries.get(name);
    return new Promise((resolve, reject) => {
      if (!entry) return reject(refuse(`The archive has no ${name}.`));
      this.zip.openReadStream(entry, (error, stream) => {
        if (error) reject(refuse(`${name} of the archive cannot be read.`));
        else resolve(stream);
      });
    });
  }

  async text(name: string, most: number): Promise<string> {
    const chunks: Buffer[] = [];
    let size = 0;
    for await (const chunk of await this.stream(name)) {
      chunks.push(chunk as Buffer); // a stream of bytes
      size += (chunk as Buffer).length;
      if (size > most) throw refuse(`${name} of the archive is too large.`);
    }
    return Buffer.concat(chunks).toString('utf8');
  }

  close(): void {
    this.zip.close();
  }
}

function parsed<T>(text: string, what: string): T {
  try {
    return JSON.parse(text) as T;
  } catch {
    throw refuse(`${what} of the archive cannot be read.`);
  }
}

async function headOf(zip: Zip): Promise<ArchiveHead> {
  const head = parsed<Partial<ArchiveHead>>(await zip.text('archive.json', MOST_HEAD), 'archive.json');
  if (head.format !== ARCHIVE_FORMAT) throw refuse('This is no archive of a studio.');
  const known = journal(migrationsFolder()).entries.length;
  const { version, migrations, tables } = head;
  if (version !== ARCHIVE_VERSION || migrations === undefined || migrations > known) {
    throw refuse('This archive was made by a newer Strickle.');
  }
  if (migrations < 1 || tables === undefined) throw refuse('archive.json of the archive is not whole.');
  return head as ArchiveHead; // its fields were looked at
}

interface Journal {
  readonly entries: readonly unknown[];
}
const journalFile = (folder: string): string => join(folder, 'meta', '_journal.json');
// our own committed file
const journal = (folder: string): Journal => JSON.parse(readFileSync(journalFile(folder), 'utf8')) as Journal;

/** The migrations up to that of the archive, as a folder of their own. */
function migrationsUpTo(count: number): string {
  const folder = mkdtempSync(join(tmpdir(), 'strickle-'));
  cpSync(migrationsFolder(), folder, { recursive: true });
  const all = journal(folder);
  writeFileSync(journalFile(folder), JSON.stringify({ ...all, entries: all.entries.slice(0, count) }));
  return folder;
}

const cellIn = (value: Cell): string | number | Buffer | null =>
  typeof value === 'object' && value !== null ? Buffer.from(value.base64, 'base64') : value;

async function fillTable(raw: Database.Database, zip: Zip, table: string, head: ArchiveHead): Promise<void> {
  const told = head.tables[table];
  if (!told) return;
  const columns = raw.prepare(`select name from pragma_table_info('${table}')`).pluck().all() as string[];
  const insert = raw.prepare(
    `insert into "${table}" (${columns.map((c) => `"${c}"`).join(', ')}) values (${columns.map(() => '?').join(', ')})`,
  );
  const hash = createHash('sha256');
  let rows = 0;
  const part = `tables/${table}.jsonl`;
  for await (const line of createInterface({ input: await zip.stream(part), crlfDelay: Infinity })) {
    if (line.length > LONGEST_LINE) throw refuse(`A line of ${part} is too long.`);
    hash.update(`${line}\n`);
    const row = parsed<Readonly<Record<string, Cell>>>(line, part);
    const unknown = Object.keys(row).find((c) => !columns.includes(c));
    if (unknown !== undefined) throw refuse(`${part} has a column ${unknown} that is not known here.`);
    try {
      insert.run(columns.map((c) => cellIn(row[c] ?? null)));
    } catch {
      throw refuse(`Line ${rows + 1} of ${part} cannot be taken.`);
    }
    rows++;
  }
  if (rows !== told.rows || hash.digest('hex') !== told.sha256) throw refuse(`${part} is not as it was written.`);
}

/** Makes a data file out of an archive. Throws `DatabaseRefused` and leaves nothing where it is no good. */
export async function fileOfArchive(archive: string, to: string): Promise<ArchiveHead> {
  const clear = (): void => ['', '-wal', '-shm'].forEach((end) => rmSync(to + end, { force: true }));
  if (!existsSync(archive)) throw refuse(`There is no file ${archive}.`);
  const zip = await Zip.open(archive);
  let folder: string | null = null;
  try {
    const head = await headOf(zip);
    clear();
    folder = migrationsUpTo(head.migrations);
    openDatabase(to, { folder }).close();
    const raw = new Database(to);
    try {
      const here = archivedTables(raw);
      const unknown = Object.keys(head.tables).find((t) => !here.includes(t));
      if (unknown !== undefined) throw refuse(`The archive has a table ${unknown} that is not known here.`);
      raw.pragma('foreign_keys = OFF');
      raw.pragma('synchronous = OFF');
      raw.exec('begin');
      for (const table of here) await fillTable(raw, zip, table, head);
      raw.exec('commit');
    } finally {
      raw.close();
    }
    // what came since the archive was made
    openDatabase(to).close();
    const fault = checkFile(to);
    if (fault !== null) throw refuse(`The archive is no good: ${fault}`);
    return head;
  } catch (error) {
    clear();
    throw error;
  } finally {
    zip.close();
    if (folder !== null) rmSync(folder, { recursive: true, force: true });
  }
}

/** Nobody's card stands in it and nobody is booked. */
export function isEmptyStudio(dataFile: string): boolean {
  if (!existsSync(dataFile)) return true;
  const raw = new Database(dataFile, { readonly: true, fileMustExist: true });
  try {
    const some = (table: string): boolean => raw.prepare(`select 1 from ${table} limit 1`).get() !== undefined;
    return !['clients', 'visits', 'bookings', 'ledger_entries'].some(some);
  } finally {
    raw.close();
  }
}

/** All pages in one step: whoever reads sees the old studio or the new one. */
const ALL_PAGES = 2 ** 31 - 1;

/** Brings an archive into a studio that is still empty, whether its server runs or not. */
export async function bringIn(archive: string, dataFile: string): Promise<ArchiveHead> {
  const empty = (): void => {
    if (!isEmptyStudio(dataFile)) {
      throw refuse('There are clients in this studio already: an archive goes into an empty one only.');
    }
  };
  empty();
  const arriving = `${dataFile}.arriving`;
  const head = await fileOfArchive(archive, arriving);
  try {
    empty();
    const from = new Database(arriving, { readonly: true, fileMustExist: true });
    try {
      await from.backup(dataFile, { progress: () => ALL_PAGES });
    } finally {
      from.close();
    }
    return head;
  } finally {
    for (const end of ['', '-wal', '-shm']) rmSync(arriving + end, { force: true });
  }
}

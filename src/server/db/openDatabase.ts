// Opens the studio's SQLite file: refuses what must not be used before anything is written, keeps a copy before it
// migrates. WAL, foreign keys on, full synchronisation: what was acknowledged survives a killed process and a power
// cut.

import { chmodSync, existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { accessFault, faultOf, fileRefused, type FileFault } from './fileFaults';
import { ownFile, TABLES_OF_OURS } from './files';
import * as schema from './schema';

export type Db = BetterSQLite3Database<typeof schema>;
/** The database or a transaction on it: what repositories take. */
export type DbOrTx = Db | Parameters<Parameters<Db['transaction']>[0]>[0];

export interface OpenDatabase {
  readonly db: Db;
  /** Folds what was written into the file and lets go of it. */
  readonly close: () => void;
}

export { DatabaseRefused } from './fileFaults';

interface JournalFile {
  readonly entries: readonly { readonly when: number }[];
}

/** How long a write waits for another program that holds the file, ms. */
const BUSY_MS = 400;

/** Pages kept at hand: a twenty-year studio's indexes fit. */
const CACHE_KIB = 64 * 1024;

export const migrationsFolder = (): string => join(process.cwd(), 'drizzle');

function migrationTimes(folder: string): readonly number[] {
  // our own committed file
  const journal = JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as JournalFile;
  return journal.entries.map((e) => e.when);
}

export interface Inspected {
  /** Time of the latest migration in the file; null = none yet. */
  readonly latest: number | null;
}

function inspectOpen(raw: Database.Database, newest: number): Inspected | FileFault {
  const count = (sql: string): number => raw.prepare(sql).pluck().get() as number; // count(*) is a number
  const known = count("select count(*) from sqlite_master where name = '__drizzle_migrations'");
  if (known === 0) {
    return count("select count(*) from sqlite_master where type = 'table'") > 0 ? 'foreign' : { latest: null };
  }
  if (count(`select count(*) from sqlite_master where name in (${TABLES_OF_OURS})`) === 0) return 'foreign';
  // integer column
  const latest = raw.prepare('select max(created_at) from __drizzle_migrations').pluck().get() as number | null;
  return latest !== null && latest > newest ? 'newer' : { latest };
}

/**
 * Looks at an existing file without writing. Its head and the tables that every start needs are read, not every page:
 * that is done beside the running server (`checkFile`).
 */
export function inspectFile(file: string, folder = migrationsFolder()): Inspected {
  const beforehand = accessFault(file);
  if (beforehand) throw fileRefused(beforehand, file);
  const newest = Math.max(...migrationTimes(folder));
  let found: Inspected | FileFault;
  try {
    const raw = new Database(file, { readonly: true, fileMustExist: true, timeout: BUSY_MS });
    try {
      found = inspectOpen(raw, newest);
    } finally {
      raw.close();
    }
  } catch (error) {
    found = faultOf(error) ?? 'damaged';
  }
  if (typeof found === 'string') throw fileRefused(found, file);
  return found;
}

export interface OpenOptions {
  readonly folder?: string;
  /** Makes a copy of the file as it is; called before a migration changes an existing one. */
  readonly beforeMigration?: (file: string) => void;
}

/** Files opened by this process so far. */
let opened = 0;

/** Opens (and creates or migrates) the file. Throws `DatabaseRefused`, with the fault's name, where it must not. */
export function openDatabase(file: string, options: OpenOptions = {}): OpenDatabase {
  const folder = options.folder ?? migrationsFolder();
  const isThere = existsSync(file);
  try {
    if (!isThere) mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  } catch {
    throw fileRefused('no-folder', file);
  }
  const inspected = isThere ? inspectFile(file, folder) : { latest: null };
  const isOld = inspected.latest !== null && inspected.latest < Math.max(...migrationTimes(folder));
  if (isOld) options.beforeMigration?.(file);
  try {
    const raw = new Database(file, { timeout: BUSY_MS });
    if (!isThere) ownFile(file);
    raw.pragma('journal_mode = WAL');
    raw.pragma('synchronous = FULL');
    raw.pragma(`cache_size = ${-CACHE_KIB}`);
    for (const end of ['', '-wal', '-shm']) if (existsSync(file + end)) chmodSync(file + end, 0o600);
    // for sinceWrite.ts
    const number = ++opened;
    raw.function('connection_number', () => number);
    raw.function('is_in_transaction', () => Number(raw.inTransaction));
    const db = drizzle(raw, { schema });
    // a table that is rebuilt is gone for a moment, and what points to it must not stop it
    raw.pragma('foreign_keys = OFF');
    migrate(db, { migrationsFolder: folder });
    raw.pragma('foreign_keys = ON');
    return { db, close: () => closeFolded(raw) };
  } catch (error) {
    const fault = faultOf(error);
    throw fault ? fileRefused(fault, file) : error;
  }
}

/** Without its write-ahead log the file alone is the whole studio. */
function closeFolded(raw: Database.Database): void {
  if (!raw.open) return;
  try {
    raw.pragma('wal_checkpoint(TRUNCATE)');
  } catch {
    // a reader holds it back: the log stays beside the file and is folded in at the next start
  }
  raw.close();
}

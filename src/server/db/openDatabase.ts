// Opens the studio's SQLite file: refuses what is damaged or newer before anything is written, then migrates.
// WAL, foreign keys on, full synchronisation: what was acknowledged survives a killed process and a power cut.

import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import * as schema from './schema';

export type Db = BetterSQLite3Database<typeof schema>;
/** The database or a transaction on it: what repositories take. */
export type DbOrTx = Db | Parameters<Parameters<Db['transaction']>[0]>[0];

export interface OpenDatabase {
  readonly db: Db;
  readonly close: () => void;
}

/** A plain sentence for the terminal; the file is left as it was. */
export class DatabaseRefused extends Error {
  override readonly name = 'DatabaseRefused';
}

interface JournalFile {
  readonly entries: readonly { readonly when: number }[];
}

function newestMigration(folder: string): number {
  // our own committed file
  const journal = JSON.parse(readFileSync(join(folder, 'meta', '_journal.json'), 'utf8')) as JournalFile;
  return Math.max(...journal.entries.map((e) => e.when));
}

/** Looks at an existing file without writing; throws {@link DatabaseRefused} where it must not be used. */
function inspect(file: string, newest: number): void {
  let raw: Database.Database;
  try {
    raw = new Database(file, { readonly: true, fileMustExist: true });
  } catch {
    throw new DatabaseRefused(
      `The data file ${file} cannot be opened. Nothing was changed. Restore it from a backup, or move it away to begin anew.`,
    );
  }
  try {
    const damaged = raw.pragma('quick_check', { simple: true }) !== 'ok';
    if (damaged) throw new Error('quick_check');
    const known = raw
      .prepare("select count(*) from sqlite_master where name = '__drizzle_migrations'")
      .pluck()
      .get() as number; // count(*) is a number
    // count(*) is a number
    const tables = raw.prepare("select count(*) from sqlite_master where type = 'table'").pluck().get() as number;
    if (known === 0 && tables > 0) {
      throw new DatabaseRefused(`The file ${file} is a database, but not Strickle's. Nothing was changed.`);
    }
    const latest =
      known === 0
        ? null
        : // integer column
          (raw.prepare('select max(created_at) from __drizzle_migrations').pluck().get() as number | null);
    if (latest !== null && latest > newest) {
      throw new DatabaseRefused(
        `The data file ${file} was written by a newer Strickle. Nothing was changed. Start the newer version.`,
      );
    }
  } catch (error) {
    if (error instanceof DatabaseRefused) throw error;
    throw new DatabaseRefused(
      `The data file ${file} is damaged. Nothing was changed. Restore it from a backup, or move it away to begin anew.`,
    );
  } finally {
    raw.close();
  }
}

/** Opens (and creates or migrates) the file. Throws {@link DatabaseRefused} for a damaged, foreign or newer one. */
export function openDatabase(file: string, migrationsFolder = join(process.cwd(), 'drizzle')): OpenDatabase {
  const newest = newestMigration(migrationsFolder);
  if (existsSync(file)) inspect(file, newest);
  else mkdirSync(dirname(file), { recursive: true });
  const raw = new Database(file);
  raw.pragma('journal_mode = WAL');
  raw.pragma('synchronous = FULL');
  raw.pragma('foreign_keys = ON');
  raw.pragma('busy_timeout = 4000');
  const db = drizzle(raw, { schema });
  migrate(db, { migrationsFolder });
  return { db, close: () => raw.close() };
}

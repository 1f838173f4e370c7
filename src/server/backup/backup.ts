// Copies of the studio: by SQLite's own online backup, so also while the server runs; the last fourteen days and twelve
// months are kept, and one from before every migration. A restore is checked before it replaces anything.

import 'server-only';
import { chmodSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import { DatabaseRefused, faultOf, fileRefused } from '../db/fileFaults';
import { holdFile } from '../db/oneServer';
import { inspectFile, openDatabase } from '../db/openDatabase';
import { isSealed, seal, unseal } from './sealed';

export const backupFolder = (dataFile: string): string => join(dirname(dataFile), 'backups');

const KEPT_DAYS = 14;
const KEPT_MONTHS = 12;
/** All pages in one step: a snapshot, however much is written meanwhile. */
const ALL_PAGES = 2 ** 31 - 1;

/** Copies a data file, in use or not, into one that stands alone. */
export async function copyStudio(from: string, to: string): Promise<void> {
  mkdirSync(dirname(to), { recursive: true, mode: 0o700 });
  const partial = `${to}.partial`;
  rmSync(partial, { force: true });
  const source = new Database(from, { readonly: true, fileMustExist: true });
  try {
    await source.backup(partial, { progress: () => ALL_PAGES });
  } finally {
    source.close();
  }
  standAlone(partial);
  renameSync(partial, to);
}

/** The same at once, for the moment before a migration. */
export function copyStudioNow(from: string, to: string): void {
  mkdirSync(dirname(to), { recursive: true, mode: 0o700 });
  rmSync(to, { force: true });
  const source = new Database(from, { fileMustExist: true });
  try {
    source.prepare('vacuum into ?').run(to);
  } finally {
    source.close();
  }
  chmodSync(to, 0o600);
}

/** A copy keeps no log of its own beside it. */
function standAlone(file: string): void {
  const copy = new Database(file);
  copy.pragma('journal_mode = DELETE');
  copy.close();
  for (const end of ['-wal', '-shm']) rmSync(file + end, { force: true });
  chmodSync(file, 0o600);
}

/** Makes a backup where `to` says, under a passphrase where one is given. Gives its path. */
export async function backUp(dataFile: string, to: string, passphrase: string | null): Promise<string> {
  if (!existsSync(dataFile)) throw new DatabaseRefused(`There is no data file ${dataFile} to back up.`);
  if (passphrase === null) {
    await copyStudio(dataFile, to);
    return to;
  }
  const plain = `${to}.plain`;
  try {
    await copyStudio(dataFile, plain);
    await seal(plain, to, passphrase);
  } finally {
    rmSync(plain, { force: true });
  }
  return to;
}

const DAILY = /^day-(\d{4}-\d{2}-\d{2})\.sqlite$/;
const MONTHLY = /^month-(\d{4}-\d{2})\.sqlite$/;

/** The day's backup and the month's first, where they are not there yet; older ones than are kept go. */
export async function dailyBackup(dataFile: string, today: string): Promise<readonly string[]> {
  const folder = backupFolder(dataFile);
  const day = join(folder, `day-${today}.sqlite`);
  if (existsSync(day)) return [];
  await copyStudio(dataFile, day);
  const month = join(folder, `month-${today.slice(0, 7)}.sqlite`);
  const isFirst = !existsSync(month);
  if (isFirst) await copyStudio(day, month);
  prune(folder, DAILY, KEPT_DAYS);
  prune(folder, MONTHLY, KEPT_MONTHS);
  return isFirst ? [day, month] : [day];
}

function prune(folder: string, pattern: RegExp, keep: number): void {
  const kept = readdirSync(folder)
    .filter((name) => pattern.test(name))
    .sort();
  for (const name of kept.slice(0, -keep)) rmSync(join(folder, name), { force: true });
}

/** Where the copy before a migration goes. */
export const beforeMigration =
  (stamp: string) =>
  (dataFile: string): void =>
    copyStudioNow(dataFile, join(backupFolder(dataFile), `before-migration-${stamp}.sqlite`));

/** Every page and every reference of a file; null where all is well, else what is not. */
export function checkFile(file: string): string | null {
  const raw = new Database(file, { readonly: true, fileMustExist: true });
  try {
    const pages = raw.pragma('integrity_check(1)', { simple: true });
    if (pages !== 'ok') return 'Some pages of the file are damaged.';
    const loose = raw.pragma('foreign_key_check') as readonly unknown[];
    return loose.length === 0 ? null : `${loose.length} rows refer to others that are not there.`;
  } catch (error) {
    return faultOf(error) === 'damaged' ? 'Some pages of the file are damaged.' : 'The file cannot be read to its end.';
  } finally {
    raw.close();
  }
}

export interface Restored {
  /** Where the studio that was there before lies now; null where there was none. */
  readonly before: string | null;
}

/**
 * Puts a backup in the place of the data file. It is decrypted, opened, migrated and checked beside it first; what was
 * there before is kept among the backups. Throws `DatabaseRefused` and leaves everything as it was where it is no good.
 */
export async function restore(
  from: string,
  dataFile: string,
  { passphrase, stamp }: { readonly passphrase: string | null; readonly stamp: string },
): Promise<Restored> {
  if (!existsSync(from)) throw new DatabaseRefused(`There is no file ${from}. Nothing was changed.`);
  mkdirSync(dirname(dataFile), { recursive: true, mode: 0o700 });
  const held = holdFile(dataFile);
  const incoming = `${dataFile}.incoming`;
  const clear = (): void => ['', '-wal', '-shm', '.partial'].forEach((end) => rmSync(incoming + end, { force: true }));
  try {
    clear();
    await takeIn(from, incoming, passphrase);
    const fault = checkFile(incoming);
    if (fault !== null) {
      throw new DatabaseRefused(`The backup ${basename(from)} is no good: ${fault} Nothing was changed.`);
    }
    const before = existsSync(dataFile) ? join(backupFolder(dataFile), `before-restore-${stamp}.sqlite`) : null;
    if (before !== null) keepAside(dataFile, before);
    for (const end of ['-wal', '-shm']) rmSync(dataFile + end, { force: true });
    renameSync(incoming, dataFile);
    return { before };
  } finally {
    clear();
    held.release();
  }
}

/** A studio that cannot be copied any more is moved as it is. */
function keepAside(dataFile: string, to: string): void {
  try {
    copyStudioNow(dataFile, to);
  } catch {
    mkdirSync(dirname(to), { recursive: true, mode: 0o700 });
    for (const end of ['', '-wal']) if (existsSync(dataFile + end)) renameSync(dataFile + end, to + end);
  }
}

async function takeIn(from: string, to: string, passphrase: string | null): Promise<void> {
  if (isSealed(from)) {
    if (passphrase === null) throw new DatabaseRefused('This backup is under a passphrase: give it with --passphrase.');
    if (!(await unseal(from, to, passphrase))) {
      throw new DatabaseRefused('The passphrase is wrong, or the backup was changed. Nothing was changed here.');
    }
  } else {
    inspectFile(from);
    await copyStudio(from, to);
  }
  inspectFile(to);
  const opened = openDatabase(to);
  const hasStudio = opened.db.query.studio.findFirst().sync() !== undefined;
  opened.close();
  if (!hasStudio) throw fileRefused('foreign', from);
}

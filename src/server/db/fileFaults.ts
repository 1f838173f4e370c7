// Why a data file cannot be used, in a plain sentence for the terminal. The file is left as it was.

import 'server-only';
import { accessSync, constants, statSync } from 'node:fs';
import { dirname } from 'node:path';

export class DatabaseRefused extends Error {
  override readonly name = 'DatabaseRefused';
}

export type FileFault =
  | 'damaged'
  | 'empty'
  | 'foreign'
  | 'held'
  | 'locked'
  | 'newer'
  | 'no-folder'
  | 'no-room'
  | 'not-readable'
  | 'read-only';

const SAID: Readonly<Record<FileFault, (file: string) => string>> = {
  damaged: (file) =>
    `The data file ${file} is damaged. Nothing was changed. Restore a backup (npm run restore), or move it away to begin anew.`,
  empty: (file) =>
    `The data file ${file} is there, but empty: the studio that was in it is gone. Restore a backup (npm run restore), or remove the file to begin anew.`,
  foreign: (file) => `The file ${file} is a database, but not Strickle's. Nothing was changed.`,
  held: (file) => `Another Strickle is running on ${file}. Stop it first; two at once would lose data.`,
  locked: (file) =>
    `Another program holds the data file ${file}. Nothing was changed. Close it there, then start again.`,
  newer: (file) =>
    `The data file ${file} was written by a newer Strickle. Nothing was changed. Start the newer version.`,
  'no-folder': (file) => `The folder ${dirname(file)} cannot be made or written. Nothing was changed.`,
  'no-room': (file) =>
    `There is no room left on the disk of ${file}. Nothing was changed. Make room, then start again.`,
  'not-readable': (file) =>
    `The data file ${file} cannot be read: this user may not. Nothing was changed. Give it back to the one who runs Strickle.`,
  'read-only': (file) =>
    `The data file ${file} or its folder can only be read: a disk mounted so, or rights taken away. Nothing was changed, nothing is lost.`,
};

export const fileRefused = (fault: FileFault, file: string): DatabaseRefused => new DatabaseRefused(SAID[fault](file));

/** Which fault an error of SQLite or of the file system tells of; `damaged` only where SQLite says so. */
export function faultOf(error: unknown): FileFault | null {
  const code = error instanceof Error && 'code' in error && typeof error.code === 'string' ? error.code : '';
  if (code === 'SQLITE_NOTADB' || code.startsWith('SQLITE_CORRUPT')) return 'damaged';
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED')) return 'locked';
  if (code.startsWith('SQLITE_READONLY') || code === 'EROFS' || code === 'SQLITE_CANTOPEN') return 'read-only';
  if (code === 'SQLITE_FULL' || code === 'ENOSPC') return 'no-room';
  if (code === 'EACCES' || code === 'EPERM' || code === 'SQLITE_PERM' || code === 'SQLITE_AUTH') return 'not-readable';
  return code.startsWith('SQLITE_IOERR') ? 'damaged' : null;
}

const may = (path: string, mode: number): boolean => {
  try {
    accessSync(path, mode);
    return true;
  } catch {
    return false;
  }
};

/** What can be told of an existing file without opening it. */
export function accessFault(file: string): FileFault | null {
  if (statSync(file).size === 0) return 'empty';
  if (!may(file, constants.R_OK)) return 'not-readable';
  return may(file, constants.W_OK) && may(dirname(file), constants.W_OK) ? null : 'read-only';
}

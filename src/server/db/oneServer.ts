// One server a data file. The lock is an exclusive transaction on a small database beside it: the kernel lets go of it
// with the process, also after kill −9, so that no file has to be tidied up.

import 'server-only';
import { chmodSync, existsSync } from 'node:fs';
import Database from 'better-sqlite3';
import { fileRefused } from './fileFaults';

export interface Held {
  readonly release: () => void;
}

/** Holds a data file for this process; throws `DatabaseRefused` where another one does. */
export function holdFile(file: string): Held {
  const beside = `${file}.held`;
  const isNew = !existsSync(beside);
  const lock = new Database(beside, { timeout: 0 });
  if (isNew) chmodSync(beside, 0o600);
  try {
    lock.pragma('journal_mode = DELETE');
    lock.exec('BEGIN EXCLUSIVE');
  } catch {
    lock.close();
    throw fileRefused('held', file);
  }
  return { release: () => lock.close() };
}

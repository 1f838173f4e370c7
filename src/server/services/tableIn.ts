// What every kind of table that is taken in has in common.

import 'server-only';
import type { Db } from '../db/openDatabase';
import { unfinishedImports, type ImportRow } from '../repos/importRepo';

export interface ImportProgress {
  readonly id: string;
  readonly state: ImportRow['state'] | 'left';
  readonly taken: number;
  readonly total: number;
}

/** Lines that are ready to be written: `write` writes one, in somebody else's transaction. */
export interface LinesIn {
  readonly count: number;
  /** So many at once hold the thread for some milliseconds. */
  readonly atOnce: number;
  readonly write: (db: Db, at: number) => void;
}

export const otherImport = (db: Db): string | null =>
  unfinishedImports(db).length > 0 ? 'Another table is still being taken in: wait for it.' : null;

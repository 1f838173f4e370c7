// Tables on their way in: some lines a time beside the requests, to the end also after a stop of the server; given up
// on the way, all of it goes out again, to the end as well.

import 'server-only';
import { ok } from '../../core/shared';
import { atomically } from '../db/atomically';
import type { Db } from '../db/openDatabase';
import { notFound, refused, type ServiceResult } from '../errors';
import { sharedThread } from '../giveWay';
import { log } from '../log';
import {
  beginLeaving,
  dropImport,
  dropReadBefore,
  dropSomeCards,
  dropSomePast,
  forgetTable,
  keepUsedCards,
  readImport,
  readImportRow,
  setTaken,
  unfinishedImports,
  type ImportRow,
} from '../repos/importRepo';
import { clientLines } from './clientsCsv';
import { pastLines } from './pastVisits';
import type { ImportProgress, LinesIn } from './tableIn';

const linesOf = (db: Db, row: ImportRow, pause: () => Promise<void> | undefined): Promise<LinesIn> =>
  row.kind === 'visits' ? pastLines(db, row, pause) : clientLines(row, pause);

export function importProgress(db: Db, id: string): ServiceResult<ImportProgress> {
  const row = readImport(db, id);
  return row ? ok({ id, state: row.state, taken: row.taken, total: row.total }) : notFound('import');
}

/** Takes in what of a table is still to be taken, or out what is still to go. */
export async function takeIn(db: Db, id: string): Promise<void> {
  const row = readImportRow(db, id);
  if (row?.state === 'leaving') return takeOut(db, id);
  if (row?.state !== 'taking') return;
  const pause = sharedThread();
  const lines = await linesOf(db, row, pause);
  for (let at = row.taken; at < lines.count; at += lines.atOnce) {
    const end = Math.min(lines.count, at + lines.atOnce);
    const taken = atomically(db, () => {
      const now = readImport(db, id);
      // a request sent twice began it twice: whoever comes second leaves it to the first; so does who was given up
      if (now?.state !== 'taking' || now.taken !== at) return refused('This part is taken in already.', 'csv');
      for (let k = at; k < end; k++) lines.write(db, k);
      setTaken(db, id, end);
      return ok(null);
    });
    if (!taken.ok) return;
    await pause();
  }
  db.transaction((tx) => forgetTable(tx, id));
}

/** So many rows at once go in some milliseconds. */
const OUT_AT_ONCE = 100;

async function takeOut(db: Db, id: string): Promise<void> {
  const pause = sharedThread();
  while (dropSomePast(db, id, OUT_AT_ONCE)) await pause();
  while (dropSomeCards(db, id, OUT_AT_ONCE)) await pause();
  db.transaction((tx) => {
    keepUsedCards(tx, id);
    dropImport(tx, id);
  });
}

/** Gives a table up: what of it is in already goes out again. A table that is in wholly stays. */
export function giveUpImport(db: Db, id: string): ServiceResult<ImportProgress> {
  return atomically(db, (): ServiceResult<ImportProgress> => {
    const row = readImport(db, id);
    if (!row) return notFound('import');
    if (row.state === 'taken') return refused('All of it is taken in already.', 'id');
    if (row.state === 'read') {
      dropImport(db, id);
      return ok({ id, state: 'left', taken: 0, total: 0 });
    }
    beginLeaving(db, id);
    return ok({ id, state: 'leaving', taken: row.taken, total: row.total });
  });
}

const AGAIN_MS = 30_000;

/** Takes a table in beside the requests; what a full disk, or another fault, stops is tried again. */
export function keepTakingIn(db: Db, id: string): void {
  takeIn(db, id).catch((error: unknown) => {
    log.error({ kind: error instanceof Error ? error.name : 'unknown' }, 'a table waits to be taken in');
    setTimeout(() => keepTakingIn(db, id), AGAIN_MS).unref();
  });
}

const LOOKED_AT_MS = 24 * 3_600_000;

/** Goes on with tables that a stop of the server has cut off. */
export function resumeImports(db: Db, nowMs: number): void {
  dropReadBefore(db, nowMs - LOOKED_AT_MS);
  for (const { id } of unfinishedImports(db)) keepTakingIn(db, id);
}

// The trail: notes who did and saw what, in one transaction with what was done; a chain of hashes over all of it.

import 'server-only';
import { createHash } from 'node:crypto';
import { actingPerson } from './acting';
import { nowMs } from './clock';
import type { Db, DbOrTx } from './db/openDatabase';
import { quietly } from './db/sinceWrite';
import { log } from './log';
import { pageRequest } from './pageRequest';
import { insertTrail, lastTrail, lastTrailNumber, trailAfter, type TrailRow } from './repos/trailRepo';
import { tabletOf } from './tablets';

type Line = Omit<TrailRow, 'seq' | 'hash' | 'about'>;

/** Whose or what's id a path names. */
const aboutOf = (what: string): string | null =>
  /\/(?:clients|visits|forms?|bookings|waiting)\/([\w-]+)/.exec(what)?.[1] ?? null;

/** What the first line rests on. */
const BEGINNING = '0'.repeat(64);
const TABLET_LETTERS = 12;

const hashOf = (before: string, seq: number, { atMs, personId, tablet, kind, what }: Line): string =>
  createHash('sha256')
    .update(JSON.stringify([before, seq, atMs, personId, tablet, kind, what]))
    .digest('hex');

/** Adds a line; to be run in the transaction of what it tells of. */
export function noteTrail(db: DbOrTx, line: Line): void {
  quietly(db, () => {
    const last = lastTrail(db);
    // a number is never given twice: where the last lines were taken out a gap stays
    const seq = lastTrailNumber(db) + 1;
    insertTrail(db, { ...line, seq, about: aboutOf(line.what), hash: hashOf(last?.hash ?? BEGINNING, seq, line) });
  });
}

const byRequest = (db: DbOrTx, request: Request): Pick<Line, 'atMs' | 'personId' | 'tablet'> => ({
  atMs: nowMs(),
  personId: actingPerson(db, request),
  tablet: tabletOf(request)?.slice(0, TABLET_LETTERS) ?? null,
});

export function noteWrite(db: DbOrTx, request: Request, what: string): void {
  noteTrail(db, { ...byRequest(db, request), kind: 'write', what });
}

/** A write that is more than one transaction, as of a PIN: its line follows it. */
export function noteDone<T extends { readonly ok: boolean }>(db: Db, request: Request, done: T): T {
  if (done.ok) db.transaction((tx) => noteWrite(tx, request, `${request.method} ${new URL(request.url).pathname}`));
  return done;
}

/** Somebody has signed in: who it is stands in no cookie of that request yet. */
export function noteSignIn(db: Db, personId: string, tablet: string): void {
  const line = { atMs: nowMs(), personId, tablet: tablet.slice(0, TABLET_LETTERS) };
  db.transaction((tx) => noteTrail(tx, { ...line, kind: 'write', what: 'POST /api/door/sign-in' }));
}

/** Looks at the same notes from the same tablet within this time are one look. */
const ONE_LOOK_MS = 10 * 60_000;
const MOST_LOOKS = 2000;
const looks = new Map<string, number>();

/**
 * A look at health notes, or one that was refused. It must not keep anybody from them: a line that cannot be written is
 * logged.
 */
export function noteRead(db: Db, request: Request, what: string): void {
  const line = byRequest(db, request);
  const key = [line.personId, line.tablet, what].join(' ');
  if (line.atMs - (looks.get(key) ?? -Infinity) < ONE_LOOK_MS) return;
  if (looks.size >= MOST_LOOKS) looks.clear();
  looks.set(key, line.atMs);
  try {
    db.transaction((tx) => noteTrail(tx, { ...line, kind: 'read', what }));
  } catch (error) {
    log.error({ kind: error instanceof Error ? error.name : 'unknown' }, 'a look was not noted');
  }
}

/** Somebody asked for what they may not, or could not prove who they are: one line for the same within ten minutes. */
export function noteRefused(db: Db, request: Request, what: string): void {
  noteRead(db, request, `REFUSED ${what}`);
}

/** The same for a page. */
export async function notePageRead(db: Db, page: string): Promise<void> {
  const request = await pageRequest();
  if (request) noteRead(db, request, `GET ${page}`);
}

/** Answers in which health notes stand: method and path. */
const HEALTH_READS: readonly RegExp[] = [
  /^\/api\/clients\/[\w-]+$/,
  /^\/api\/clients\/[\w-]+\/(record|progress)$/,
  /^\/api\/clients\/export(\/vcard)?$/,
  /^\/api\/studio\/archive$/,
  /^\/api\/visits\/[\w-]+$/,
  /^\/api\/visits\/[\w-]+\/(case|record|incident)$/,
  /^\/api\/forms\/[\w-]+$/,
];
export const isHealthRead = (path: string): boolean => HEALTH_READS.some((r) => r.test(path));

const SLICE = 2000;

/** The first line that does not follow from the one before; null where all do. Rests between slices. */
export async function trailFault(db: Db): Promise<{ readonly seq: number } | null> {
  let before = { seq: 0, hash: BEGINNING };
  for (;;) {
    const rows = trailAfter(db, before.seq, SLICE);
    for (const { seq, hash, about, ...line } of rows) {
      const follows = seq === before.seq + 1 && hash === hashOf(before.hash, seq, line) && about === aboutOf(line.what);
      if (!follows) return { seq: before.seq + 1 };
      before = { seq, hash };
    }
    if (rows.length < SLICE) return lastTrailNumber(db) > before.seq ? { seq: before.seq + 1 } : null;
    await new Promise((resolve) => setImmediate(resolve));
  }
}

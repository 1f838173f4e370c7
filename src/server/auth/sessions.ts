// Who has signed in at a tablet: a random token in a cookie of which the table keeps the hash. A session counts on the
// tablet on which it was begun, and rests when nobody has touched that for a while: then a PIN goes on.

import 'server-only';
import { createHash, randomBytes } from 'node:crypto';
import { REST_AFTER_MIN, type Role } from '../../core/doors';
import { waxLies } from '../../core/hands';
import { cookieOf } from '../cookies';
import type { Db, DbOrTx } from '../db/openDatabase';
import {
  dropSession,
  dropSessionsOn,
  insertSession,
  journalsSince,
  readSession,
  updateSession,
} from '../repos/doorRepo';
import { readPerson, readStudio } from '../repos/studioRepo';

export const SESSION_COOKIE = 'strickle-session';
const TOKEN = /^[A-Za-z0-9_-]{32,64}$/;
const KEPT_S = 30 * 86_400;
/** A session that nobody has touched for so long has ended. */
export const ENDS_AFTER_MS = KEPT_S * 1000;
/** Touches are written down no oftener than this. */
const TOUCH_MS = 20_000;
/** Wax that was laid longer ago than this is not on skin any more, whatever the journal forgot. */
const WAX_COUNTS_MS = 60 * 60_000;

export interface SignedIn {
  readonly id: string;
  readonly personId: string;
  readonly name: string;
  readonly role: Role;
  /** True where the tablet asks who is there. */
  readonly rests: boolean;
}

export const signsIn = (db: DbOrTx): boolean => readStudio(db)?.settings.signsIn === true;

const idOf = (token: string): string => createHash('sha256').update(token).digest('hex');

export const sessionCookie = (token: string, isSecure: boolean): string =>
  `${SESSION_COOKIE}=${token}; Path=/; Max-Age=${KEPT_S}; HttpOnly; SameSite=Lax${isSecure ? '; Secure' : ''}`;
export const noSessionCookie = `${SESSION_COOKIE}=; Path=/; Max-Age=0; HttpOnly; SameSite=Lax`;

/** Begins a session; whoever was at this tablet before is not any more. The token goes into the cookie only. */
export function beginAt(db: DbOrTx, personId: string, tablet: string, nowMs: number): string {
  dropSessionsOn(db, tablet);
  const token = randomBytes(32).toString('base64url');
  insertSession(db, { id: idOf(token), personId, tablet, startedMs: nowMs, touchedMs: nowMs });
  return token;
}

/** True where wax was laid lately and has not been pulled: then no tablet asks anything. */
export const isWaxOnSkin = (db: DbOrTx, nowMs: number): boolean =>
  journalsSince(db, nowMs - WAX_COUNTS_MS).some(waxLies);

/** The session of a request on its tablet; null where there is none that counts. Falls to rest when it is due. */
export function sessionOf(db: DbOrTx, request: Request, tablet: string | null, nowMs: number): SignedIn | null {
  const token = cookieOf(request, SESSION_COOKIE);
  if (token === null || tablet === null || !TOKEN.test(token)) return null;
  const row = readSession(db, idOf(token));
  if (!row || row.tablet !== tablet) return null;
  const person = readPerson(db, row.personId);
  if (!person?.active || nowMs - row.touchedMs > ENDS_AFTER_MS) {
    dropSession(db, row.id);
    return null;
  }
  const isDue = !row.rests && nowMs - row.touchedMs > REST_AFTER_MIN[person.role] * 60_000;
  const rests = row.rests || (isDue && !isWaxOnSkin(db, nowMs));
  if (rests && !row.rests) updateSession(db, row.id, { rests: true });
  return { id: row.id, personId: person.id, name: person.name, role: person.role, rests };
}

/** Somebody has touched the tablet, or written something. */
export function touch(db: Db, { id, rests }: SignedIn, nowMs: number): void {
  if (rests) return;
  const row = readSession(db, id);
  if (row && nowMs - row.touchedMs >= TOUCH_MS) updateSession(db, id, { touchedMs: nowMs });
}

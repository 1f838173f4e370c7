// Who does what a request asks for: the person who has signed in, or, where nobody signs in, the name that the tablet
// was told.

import 'server-only';
import { sessionOf, signsIn, type SignedIn } from './auth/sessions';
import { nowMs } from './clock';
import { cookieOf } from './cookies';
import type { DbOrTx } from './db/openDatabase';
import { readPerson } from './repos/studioRepo';
import { tabletOf } from './tablets';

/** Cookie in which this tablet remembers who stands at it. A name for the record, not a proof: that is the PIN. */
export const PERSON_COOKIE = 'strickle-person';

/** Who has signed in; null where nobody has, or nobody has to. */
export const signedIn = (db: DbOrTx, request: Request): SignedIn | null =>
  signsIn(db) ? sessionOf(db, request, tabletOf(request), nowMs()) : null;

/** The practitioner at this tablet; null where nobody has been named. */
export function actingPerson(db: DbOrTx, request: Request): string | null {
  if (signsIn(db)) return signedIn(db, request)?.personId ?? null;
  const id = cookieOf(request, PERSON_COOKIE);
  return id !== null && readPerson(db, id) ? id : null;
}

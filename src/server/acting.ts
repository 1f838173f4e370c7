import 'server-only';
import type { DbOrTx } from './db/openDatabase';
import { readPerson } from './repos/studioRepo';

/** Cookie in which this tablet remembers who stands at it. A name for the record, not a proof: that is the PIN. */
export const PERSON_COOKIE = 'strickle-person';

/** Text out of a header; what is not properly encoded is taken as it stands. */
export function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

export function cookieOf(request: Request, name: string): string | null {
  const found = (request.headers.get('cookie') ?? '')
    .split(';')
    .map((c) => c.trim())
    .find((c) => c.startsWith(`${name}=`));
  return found ? decoded(found.slice(name.length + 1)) : null;
}

/** The practitioner at this tablet; null where nobody has been named. */
export function actingPerson(db: DbOrTx, request: Request): string | null {
  const id = cookieOf(request, PERSON_COOKIE);
  return id !== null && readPerson(db, id) ? id : null;
}

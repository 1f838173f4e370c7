// What a request gets by who asks, before anything of it is done. The proxy asks for pages and routes, the routes ask
// once more for themselves.

import 'server-only';
import { may, mayNotWords, neededFor, type May, type Role } from '../../core/doors';
import { signedIn } from '../acting';
import { decoded } from '../cookies';
import type { Db } from '../db/openDatabase';
import { anyPageRequest } from '../pageRequest';
import { readTablet } from '../repos/groundRepo';
import { isOfForm, tabletOf } from '../tablets';
import { sessionOf, signsIn, touch, type SignedIn } from './sessions';

export type Verdict =
  | { readonly kind: 'open'; readonly who: SignedIn | null }
  /** Nobody has signed in here. */
  | { readonly kind: 'signed-out' }
  /** Somebody has, and the tablet asks whether they are still there. */
  | { readonly kind: 'rests' }
  | { readonly kind: 'not-yours'; readonly what: May }
  /** No such path in the table. */
  | { readonly kind: 'nowhere' };

const LOOKS: readonly string[] = ['GET', 'HEAD', 'OPTIONS'];

/** True of the form that this very tablet is with a client for: whoever handed it over may rest meanwhile. */
function isClientsForm(db: Db, tablet: string | null, pathname: string): boolean {
  const formId = tablet === null ? null : (readTablet(db, tablet)?.lockedForm ?? null);
  return formId !== null && isOfForm(pathname, formId);
}

export function verdictOf(db: Db, request: Request, nowMs: number): Verdict {
  const written = new URL(request.url).pathname;
  // the framework reads an address so before it looks for its route
  const pathname = decoded(written);
  // a page that the table does not know is the owner's: that it is not there
  const needs = neededFor(request.method, pathname) ?? (pathname.startsWith('/api/') ? null : 'house');
  if (needs === null) return { kind: 'nowhere' };
  if (!signsIn(db)) return { kind: 'open', who: null };
  const tablet = tabletOf(request);
  const who = sessionOf(db, request, tablet, nowMs);
  if (needs === 'anybody' || isClientsForm(db, tablet, written)) return { kind: 'open', who };
  if (who === null) return { kind: 'signed-out' };
  if (who.rests) return { kind: 'rests' };
  if (needs !== 'signed-in' && !may(who.role, needs)) return { kind: 'not-yours', what: needs };
  if (!LOOKS.includes(request.method)) touch(db, who, nowMs);
  return { kind: 'open', who };
}

export interface Refused {
  readonly status: number;
  readonly code: string;
  readonly message: string;
}
/** The verdict as an answer; null where it is open. */
export function refusalOf(verdict: Verdict): Refused | null {
  switch (verdict.kind) {
    case 'open':
      return null;
    case 'signed-out':
      return { status: 401, code: 'signed-out', message: 'Nobody has signed in here. What you did is kept here.' };
    case 'rests':
      return {
        status: 401,
        code: 'signed-out',
        message: 'This tablet rests: a PIN goes on. What you did is kept here.',
      };
    case 'not-yours':
      return { status: 403, code: 'not-yours', message: mayNotWords(verdict.what) };
    case 'nowhere':
      return { status: 404, code: 'not-found', message: 'There is nothing at this address.' };
  }
}

/** The role that a request has: everything where nobody signs in, the least where somebody should and has not. */
export function roleOf(db: Db, request: Request): Role {
  if (!signsIn(db)) return 'owner';
  return signedIn(db, request)?.role ?? 'desk';
}

/** The same for a page. */
export const pageRole = async (db: Db): Promise<Role> => roleOf(db, await anyPageRequest());

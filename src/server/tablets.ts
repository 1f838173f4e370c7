// Which browser asks: by a lasting cookie whose hash the server keeps. Whether it is with a client, and whether anyone
// of the studio has opened it, is held here and not in the browser; only a PIN changes it back.

import 'server-only';
import { createHash, randomBytes } from 'node:crypto';
import { ok } from '../core/shared';
import { DOOR, forgetTries, takeTry } from './auth/tries';
import { cookieOf } from './cookies';
import { nowMs } from './clock';
import type { Db } from './db/openDatabase';
import { refused, type ServiceResult } from './errors';
import { putTablet, readTablet } from './repos/groundRepo';
import { anyPin } from './repos/studioRepo';
import { personOfPin } from './services/pin';

export const TABLET_COOKIE = 'strickle-tablet';
/** Browsers keep no cookie longer than 400 days; it begins anew with every page. */
const KEPT_S = 400 * 86_400;
const TOKEN = /^[A-Za-z0-9_-]{32,64}$/;

export const newToken = (): string => randomBytes(32).toString('base64url');
export const isToken = (text: string | undefined): text is string => text !== undefined && TOKEN.test(text);
export const tabletCookie = (token: string, isSecure = false): string =>
  `${TABLET_COOKIE}=${token}; Path=/; Max-Age=${KEPT_S}; HttpOnly; SameSite=Lax${isSecure ? '; Secure' : ''}`;
const idOf = (token: string): string => createHash('sha256').update(token).digest('hex');

/** The tablet of a request; null where its cookie is missing or was made up. */
export function tabletOf(request: Request): string | null {
  const token = cookieOf(request, TABLET_COOKIE) ?? undefined;
  return isToken(token) ? idOf(token) : null;
}

export type TabletState =
  | { readonly kind: 'open' }
  | { readonly kind: 'locked'; readonly formId: string }
  /** A PIN of the studio is asked for first. */
  | { readonly kind: 'unknown' };

/** Before the first PIN every browser that comes is known; from then on a new one is not. */
export const tabletState = (db: Db, token: string, atMs: number): TabletState => tabletStateOf(db, idOf(token), atMs);

/** The same for a tablet by its id. */
export function tabletStateOf(db: Db, id: string, atMs: number): TabletState {
  const row = readTablet(db, id);
  if (row?.lockedForm) return { kind: 'locked', formId: row.lockedForm };
  if (row && row.knownSinceMs !== null) return { kind: 'open' };
  if (anyPin(db)) return { kind: 'unknown' };
  putTablet(db, id, atMs, { knownSinceMs: atMs });
  return { kind: 'open' };
}

/** Paths of the form that a locked tablet is with a client for. */
export function isOfForm(pathname: string, formId: string): boolean {
  const own = encodeURIComponent(formId);
  return pathname === `/form/${own}` || pathname === `/api/forms/${own}` || pathname.startsWith(`/api/forms/${own}/`);
}

/** From here on this tablet shows the form and nothing else. */
export function lockTablet(db: Db, tablet: string, formId: string): void {
  putTablet(db, tablet, nowMs(), { lockedForm: formId, knownSinceMs: nowMs() });
}
/** A PIN was given: the tablet is the studio's again. */
export function openTablet(db: Db, tablet: string): void {
  putTablet(db, tablet, nowMs(), { lockedForm: null, knownSinceMs: nowMs() });
}

/** Opens a browser that is not known with a PIN of the studio. Wrong ones are counted, and make the next wait. */
export async function comeIn(db: Db, tablet: string, pin: string, atMs: number): Promise<ServiceResult<null>> {
  const tried = takeTry(db, DOOR, atMs, 'pin');
  if (!tried.ok) return tried;
  if ((await personOfPin(db, pin)) === null) return refused('That is not a PIN of this studio.', 'pin');
  forgetTries(db, DOOR, atMs);
  const row = readTablet(db, tablet);
  // one that is with a client stays so: its own page takes it back
  putTablet(db, tablet, atMs, { knownSinceMs: atMs, lockedForm: row?.lockedForm ?? null });
  return ok(null);
}

// What every request passes: which tablet asks, whether it is with a client or not known, and under which rules the
// page may run scripts. The outermost door (scripts/doors.mjs) has turned away what is not of this machine.

import { NextResponse, type NextRequest } from 'next/server';
import { refusalOf, verdictOf } from './server/auth/guard';
import { signsIn } from './server/auth/sessions';
import { nowMs } from './server/clock';
import { isSecure } from './server/env';
import { getDb } from './server/db/client';
import { noteRefused } from './server/trail';
import { isOfForm, isToken, newToken, TABLET_COOKIE, tabletCookie, tabletState } from './server/tablets';

const refusal = (status: number, code: string, message: string): NextResponse =>
  NextResponse.json({ error: { code, message, details: [] } }, { status, headers: { 'cache-control': 'no-store' } });

const DOOR = '/door';
const isDoor = (pathname: string): boolean => pathname === DOOR || pathname.startsWith(`/api${DOOR}`);

/** Under which address the tablet knows us. The outermost door has looked at the host. */
const baseOf = (request: NextRequest): string =>
  isSecure(request) ? `https://${request.headers.get('host') ?? ''}` : request.url;

/** What a tablet gets instead of what it asked for; null where it gets that. */
function instead(request: NextRequest, token: string): NextResponse | null {
  const { pathname } = request.nextUrl;
  const state = tabletState(getDb(), token, nowMs());
  const goTo = (path: string): NextResponse => NextResponse.redirect(new URL(path, baseOf(request)));
  const isApi = pathname.startsWith('/api/');
  if (state.kind === 'locked') {
    if (isOfForm(pathname, state.formId)) return null;
    return isApi
      ? refusal(423, 'locked', 'This tablet is with a client. What you did here is kept and sent when it is back.')
      : goTo(`/form/${encodeURIComponent(state.formId)}`);
  }
  if (!signsIn(getDb()) && state.kind === 'unknown') {
    if (isDoor(pathname)) return null;
    return isApi ? refusal(401, 'unknown-tablet', 'This browser is not known here: a PIN opens it.') : goTo(DOOR);
  }
  return byPerson(request, isApi, goTo);
}

/** By who has signed in, and what they may. */
function byPerson(request: NextRequest, isApi: boolean, goTo: (path: string) => NextResponse): NextResponse | null {
  const { pathname, search } = request.nextUrl;
  const verdict = verdictOf(getDb(), request, nowMs());
  if (verdict.kind === 'open') {
    const isIn = verdict.who === null ? !signsIn(getDb()) : !verdict.who.rests;
    return pathname === DOOR && isIn ? goTo('/') : null;
  }
  if (verdict.kind === 'not-yours') noteRefused(getDb(), request, `${request.method} ${pathname}`);
  const { status, code, message } = refusalOf(verdict) ?? { status: 403, code: 'not-yours', message: '' };
  if (isApi) return refusal(status, code, message);
  if (verdict.kind === 'not-yours') {
    return NextResponse.rewrite(new URL(`/door/closed?what=${verdict.what}`, request.url), { status });
  }
  return goTo(pathname === '/' ? DOOR : `${DOOR}?to=${encodeURIComponent(pathname + search)}`);
}

/** Nothing from elsewhere; scripts only with the nonce of this very page. */
function policy(nonce: string): string {
  const dev = process.env.NODE_ENV === 'development';
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "frame-ancestors 'none'",
    "base-uri 'self'",
    "form-action 'self'",
  ].join('; ');
}

/** A calendar program has no cookie and is no tablet: the private address is all it has, and all it needs. */
const isFeed = (request: NextRequest): boolean =>
  request.method === 'GET' &&
  request.nextUrl.pathname.startsWith('/api/calendar/') &&
  request.cookies.get(TABLET_COOKIE) === undefined;

export function proxy(request: NextRequest): NextResponse {
  if (isFeed(request)) return NextResponse.next();
  const told = request.cookies.get(TABLET_COOKIE)?.value;
  const token = isToken(told) ? told : newToken();
  const headers = new Headers(request.headers);
  if (token !== told) {
    const rest = request.cookies.getAll().filter((c) => c.name !== TABLET_COOKIE);
    headers.set(
      'cookie',
      [...rest, { name: TABLET_COOKIE, value: token }].map((c) => `${c.name}=${c.value}`).join('; '),
    );
  }
  const csp = policy(crypto.randomUUID());
  // Next finds the nonce here and puts it on its own scripts
  headers.set('content-security-policy', csp);
  const response = instead(request, token) ?? NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', csp);
  // pages renew it, so that a tablet in use never becomes a stranger
  if (!request.nextUrl.pathname.startsWith('/api/') || token !== told) {
    response.headers.append('set-cookie', tabletCookie(token, isSecure(request)));
  }
  return response;
}

export const config = {
  matcher: ['/((?!_next/|icon.svg|icon-192.png|icon-512.png|manifest.webmanifest|sw.js|api/health).*)'],
};

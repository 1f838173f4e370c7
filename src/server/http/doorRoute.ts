// What the routes of the door have in common: the tablet, the cookie of a session, and who has signed in.

import 'server-only';
import { sessionCookie, noSessionCookie, sessionOf, type SignedIn } from '../auth/sessions';
import { nowMs } from '../clock';
import { getDb } from '../db/client';
import { isSecure } from '../env';
import { tabletOf } from '../tablets';
import { errorResponse } from './answers';

/** No tablet is closed while a table needs it. */
export const WAX_FIRST = 'Wax is on skin: the strips first.';

export function withTablet(
  request: Request,
  run: (tablet: string) => Response | Promise<Response>,
): Response | Promise<Response> {
  const tablet = tabletOf(request);
  return tablet === null
    ? errorResponse(401, 'no-cookie', 'This browser keeps no cookie: without one it cannot be told again.')
    : run(tablet);
}

/** Only where somebody has signed in; they may rest. */
export const withPerson = (
  request: Request,
  run: (who: SignedIn, tablet: string) => Response | Promise<Response>,
): Response | Promise<Response> =>
  withTablet(request, (tablet) => {
    const who = sessionOf(getDb(), request, tablet, nowMs());
    return who === null ? errorResponse(401, 'signed-out', 'Nobody has signed in here.') : run(who, tablet);
  });

export function withSession(request: Request, response: Response, token: string): Response {
  response.headers.append('set-cookie', sessionCookie(token, isSecure(request)));
  return response;
}
export function withoutSession(response: Response): Response {
  response.headers.append('set-cookie', noSessionCookie);
  return response;
}

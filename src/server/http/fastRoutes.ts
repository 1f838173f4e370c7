// Routes that the script in front of the application asks without the framework between: only what a table sends many
// times a second. The same doors stand before them: the outermost one (scripts/doors.mjs) and the tablet's.

import 'server-only';
import { signsIn } from '../auth/sessions';
import { nowMs } from '../clock';
import { getDb } from '../db/client';
import { anyPin } from '../repos/studioRepo';
import { tabletOf, tabletStateOf } from '../tablets';
import { errorResponse } from './answers';
import { journalRoute } from './journalRoute';

export type FastRoute = (request: Request) => Promise<Response>;

const JOURNAL = /^\/api\/visits\/([A-Za-z0-9_-]{1,64})\/journal$/;

/** The route of a path, if it is one of these; null where the framework answers. */
export function fastRoute(method: string, path: string): FastRoute | null {
  const [, id] = method === 'POST' ? (JOURNAL.exec(path) ?? []) : [];
  if (id === undefined) return null;
  return (request) => {
    const tablet = tabletOf(request);
    // one without a cookie is as good as one that has never been here
    const stranger = anyPin(getDb()) ? ('unknown' as const) : ('open' as const);
    const kind = tablet === null ? stranger : tabletStateOf(getDb(), tablet, nowMs()).kind;
    // where people sign in, the route asks who does (route.ts)
    if (kind === 'open' || (kind === 'unknown' && signsIn(getDb()))) {
      return journalRoute.POST(request, { params: Promise.resolve({ id }) });
    }
    return Promise.resolve(
      kind === 'locked'
        ? errorResponse(
            423,
            'locked',
            'This tablet is with a client. What you did here is kept and sent when it is back.',
          )
        : errorResponse(401, 'unknown-tablet', 'This browser is not known here: a PIN opens it.'),
    );
  };
}

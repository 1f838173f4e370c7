// A path with its methods: what it does not know it refuses in words, and what goes wrong in it is a plain answer.

import 'server-only';
import { refusalOf, verdictOf } from '../auth/guard';
import { nowMs } from '../clock';
import { errorResponse, unforeseen } from './answers';
import { getDb } from '../db/client';
import { isPlanWanted } from '../planning/planWanted';
import { isHealthRead, noteRead } from '../trail';

const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;
type Method = (typeof METHODS)[number];
type Answer = Response | Promise<Response>;
type Handler<P> = (request: Request, params: P) => Answer;
type NextHandler<P> = (request: Request, context: { readonly params: Promise<P> }) => Promise<Response>;

/** A request waits for at most so many plans: each answer to a plan that is wanted may want another one. */
const MOST_PLANS = 12;

/** Runs an answer; where it wants a plan that is not made yet, waits for it off this thread and runs it again. */
export async function answered(run: () => Answer): Promise<Response> {
  for (let k = 0; ; k++) {
    try {
      return await run();
    } catch (error) {
      if (!isPlanWanted(error) || k === MOST_PLANS) return unforeseen(error);
      await error.made;
    }
  }
}

/** The proxy has asked already; a route that is reached some other way asks for itself. */
function refusedHere(request: Request): Response | null {
  try {
    const away = refusalOf(verdictOf(getDb(), request, nowMs()));
    return away && errorResponse(away.status, away.code, away.message);
  } catch (error) {
    return unforeseen(error);
  }
}

export function route<P = Record<string, never>>(methods: {
  readonly [M in Method]?: Handler<P>;
}): Readonly<Record<Method, NextHandler<P>>> {
  const allowed = METHODS.filter((m) => methods[m]);
  const refuse: NextHandler<P> = () => {
    const response = errorResponse(405, 'method', `This can be asked with ${allowed.join(', ')} only.`);
    response.headers.set('allow', allowed.join(', '));
    return Promise.resolve(response);
  };
  const of = (method: Method): NextHandler<P> => {
    const handler = methods[method];
    if (!handler) return refuse;
    return async (request, { params }) => {
      const away = refusedHere(request);
      if (away) return away;
      const answer = await answered(async () => handler(request, await params));
      const { pathname } = new URL(request.url);
      if (method === 'GET' && answer.ok && isHealthRead(pathname)) noteRead(getDb(), request, `GET ${pathname}`);
      return answer;
    };
  };
  return { GET: of('GET'), POST: of('POST'), PUT: of('PUT'), PATCH: of('PATCH'), DELETE: of('DELETE') };
}

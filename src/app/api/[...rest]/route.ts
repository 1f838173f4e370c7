import { errorResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';

export const dynamic = 'force-dynamic';

const nothing = (): Response => errorResponse(404, 'not-found', 'There is nothing at this address.');

/** Whatever no other route knows. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ rest: string[] }>({
  GET: nothing,
  POST: nothing,
  PUT: nothing,
  PATCH: nothing,
  DELETE: nothing,
});

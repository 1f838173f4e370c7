import { FAMILIES, type Family } from '@/core/anatomy';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { errorResponse, NO_STORE } from '@/server/http/answers';
import { jsonLines } from '@/server/http/jsonLines';
import { route } from '@/server/http/route';
import { readyList, readyWith } from '@/server/services/outlook';

export const dynamic = 'force-dynamic';

/**
 * Who is ready when, as they were worked; `?with=FAMILY` = were they worked with that one: a line of JSON for each step
 * on the way, the list in the last.
 */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => {
    const family = new URL(request.url).searchParams.get('with');
    if (family === null) return Response.json(readyList(getDb(), nowMs()), { headers: NO_STORE });
    if (!FAMILIES.includes(family as Family)) {
      const details = [{ path: 'with', message: `must be one of ${FAMILIES.join(', ')}` }];
      return errorResponse(422, 'invalid', 'No such family.', details);
    }
    return jsonLines(readyWith(getDb(), family as Family, nowMs()));
  },
});

import { isCivilDate } from '@/core/shared';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { errorResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { loadWeek } from '@/server/services/week';

export const dynamic = 'force-dynamic';

/** The week of a day, `?on=YYYY-MM-DD`; this one where none is given. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => {
    const on = new URL(request.url).searchParams.get('on') ?? undefined;
    if (on !== undefined && !isCivilDate(on)) {
      return errorResponse(422, 'invalid', 'That is no date.', [{ path: 'on', message: 'must be a date, YYYY-MM-DD' }]);
    }
    return toResponse(loadWeek(getDb(), on, nowMs()));
  },
});

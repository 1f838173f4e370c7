import { isCivilDate } from '@/core/shared';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { errorResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { nextSlots } from '@/server/services/nextSlots';

export const dynamic = 'force-dynamic';

/** Free places for the next visit: `about` a day, `smoothOn` a date that counts. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (request, { id }) => {
    const asked = new URL(request.url).searchParams;
    const dates = (['about', 'smoothOn'] as const).map((name) => [name, asked.get(name)] as const);
    const wrong = dates.find(([, date]) => date !== null && !isCivilDate(date));
    if (wrong) {
      const [path] = wrong;
      return errorResponse(422, 'invalid', 'That is no date.', [{ path, message: 'must be a date, YYYY-MM-DD' }]);
    }
    const [about, smoothOn] = dates.map(([, date]) => date ?? undefined);
    return toResponse(nextSlots(getDb(), id, { about, smoothOn }, nowMs()));
  },
});

import { calendarRequest } from '@/formats/deskRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { importCalendar, type CalendarImport, type CalendarRead } from '@/server/services/absences';
import { calendarOf } from '@/server/services/calendars';

export const dynamic = 'force-dynamic';

/** GET: the visits of a practitioner as an .ics file. POST: busy times out of one. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => {
    const written = calendarOf(getDb(), id, nowMs());
    return written.ok ? fileResponse(written.value, 'text/calendar; charset=utf-8', 'visits.ics') : toResponse(written);
  },
  POST: (request, { id }) =>
    write<CalendarImport, CalendarRead>(request, {
      db: getDb(),
      schema: calendarRequest,
      remembers: (body) => body.write,
      run: (body) => importCalendar(getDb(), id, body, nowMs()),
      tells: () => [{ kind: 'day' }],
    }),
});

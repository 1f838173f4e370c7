import { ok } from '@/core/shared';
import { openVisitRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { writeForm } from '@/server/http/write';
import { openVisit, type OpenVisit } from '@/server/services/openVisit';

/** What a name on Today does before the page's script runs. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    writeForm<OpenVisit>(request, {
      db: getDb(),
      schema: openVisitRequest,
      run: (body) => {
        const opened = openVisit(getDb(), body, nowMs());
        return opened.ok ? ok(`/visits/${opened.value.visitId}`) : opened;
      },
      otherwise: '/',
    }),
});

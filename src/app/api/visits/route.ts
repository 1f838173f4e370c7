import { openVisitRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { openVisit, type OpenVisit } from '@/server/services/openVisit';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<OpenVisit, { visitId: string }>(request, {
      db: getDb(),
      schema: openVisitRequest,
      run: (body) => openVisit(getDb(), body, nowMs()),
      tells: () => [{ kind: 'day' }],
    }),
});

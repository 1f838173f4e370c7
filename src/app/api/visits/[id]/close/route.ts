import { closeRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { closeVisit, type ClosedVisit, type CloseVisit } from '@/server/services/closeVisit';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<CloseVisit, ClosedVisit>(request, {
      db: getDb(),
      schema: closeRequest,
      run: (body) => closeVisit(getDb(), id, body, nowMs()),
      tells: () => [{ kind: 'ended', visitId: id }, { kind: 'day' }],
    }),
});

import { waitingRequest } from '@/formats/deskRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { addWaiting, type NewWaiting } from '@/server/services/waiting';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<NewWaiting, null>(request, {
      db: getDb(),
      schema: waitingRequest,
      run: (body) => addWaiting(getDb(), body, nowMs()),
      tells: () => [{ kind: 'day' }],
    }),
});

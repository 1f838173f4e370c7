import { putOffRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { proposePutOff, putOff, type PutOff } from '@/server/services/putOff';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => toResponse(proposePutOff(getDb(), id, nowMs())),
  POST: (request, { id }) =>
    write<PutOff, { bookingId: string | null }>(request, {
      db: getDb(),
      schema: putOffRequest,
      run: (body) => putOff(getDb(), id, body, nowMs()),
      tells: () => [{ kind: 'ended', visitId: id }, { kind: 'day' }],
    }),
});

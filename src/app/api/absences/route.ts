import { absenceRequest } from '@/formats/deskRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { addAbsence, type Away, type NewAbsence } from '@/server/services/absences';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<NewAbsence, Away & { readonly id: string }>(request, {
      db: getDb(),
      schema: absenceRequest,
      run: (body) => addAbsence(getDb(), body, nowMs()),
      okStatus: 201,
      tells: () => [{ kind: 'day' }],
    }),
});

import { patchTestRequest } from '@/formats/requests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { patchTest, type PatchTestAct, type PatchTestsNow } from '@/server/services/patchTests';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<PatchTestAct, PatchTestsNow>(request, {
      db: getDb(),
      schema: patchTestRequest,
      run: (body) => patchTest(getDb(), id, body, actingPerson(getDb(), request), nowMs()),
      tells: () => [{ kind: 'card', clientId: id }],
    }),
});

import { batchRequest } from '@/formats/kitchenRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { batchAct, loadKitchen, type BatchAct, type Kitchen } from '@/server/services/kitchen';

/** POST: one act of a batch: a heat read, a colour, a step, off the heat, the jar. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<BatchAct, { readonly id: string }, Kitchen>(request, {
      db: getDb(),
      schema: batchRequest,
      run: (act) => batchAct(getDb(), id, act, { atMs: nowMs(), personId: actingPerson(getDb(), request) }),
      answer: () => loadKitchen(getDb(), nowMs()),
      tells: () => [{ kind: 'kitchen' }],
    }),
});

import { newBatchRequest } from '@/formats/kitchenRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadKitchen, startBatch, type Kitchen, type NewBatch } from '@/server/services/kitchen';

export const dynamic = 'force-dynamic';

/** GET: the kitchen as it stands. POST: all is weighed and goes onto the stove. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => toResponse(loadKitchen(getDb(), nowMs())),
  POST: (request) =>
    write<NewBatch, { readonly id: string }, Kitchen>(request, {
      db: getDb(),
      schema: newBatchRequest,
      run: (body) => startBatch(getDb(), body, { atMs: nowMs(), personId: actingPerson(getDb(), request) }),
      answer: () => loadKitchen(getDb(), nowMs()),
      okStatus: 201,
      tells: () => [{ kind: 'kitchen' }],
    }),
});

import { kitchenRequest } from '@/formats/kitchenRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadKitchen, saveKitchen, type Kitchen } from '@/server/services/kitchen';

/** PUT: where it is cooked. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  PUT: (request) =>
    write<Parameters<typeof saveKitchen>[1], null, Kitchen>(request, {
      db: getDb(),
      schema: kitchenRequest,
      run: (body) => saveKitchen(getDb(), body),
      answer: () => loadKitchen(getDb(), nowMs()),
      tells: () => [{ kind: 'kitchen' }],
    }),
});

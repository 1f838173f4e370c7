import { partRequest } from '@/formats/doorRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { partCards } from '@/server/services/merge';

/** Parts two cards that were put together. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<{ mergeId: string }, { readonly changedSince: boolean }>(request, {
      db: getDb(),
      schema: partRequest,
      run: ({ mergeId }) => partCards(getDb(), id, mergeId, { byId: actingPerson(getDb(), request), nowMs: nowMs() }),
      tells: () => [{ kind: 'day' }],
    }),
});

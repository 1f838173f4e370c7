import { mergeRequest } from '@/formats/doorRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask, write } from '@/server/http/write';
import { lookAtMerge, mergeCards } from '@/server/services/merge';

/** PUT: the other card, and whether both can be put together. POST: carries everything of it over to this one. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    ask<{ goneId: string }>(request, mergeRequest, ({ goneId }) =>
      toResponse(lookAtMerge(getDb(), id, goneId, nowMs())),
    ),
  POST: (request, { id }) =>
    write<{ goneId: string }, { readonly id: string }>(request, {
      db: getDb(),
      schema: mergeRequest,
      run: ({ goneId }) => mergeCards(getDb(), id, goneId, { byId: actingPerson(getDb(), request), nowMs: nowMs() }),
      tells: () => [{ kind: 'day' }],
    }),
});

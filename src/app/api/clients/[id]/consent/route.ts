import { consentEndRequest } from '@/formats/doorRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { endConsent } from '@/server/services/consentEnds';

/** The client takes their consent back. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<{ words: string }, { readonly version: number }>(request, {
      db: getDb(),
      schema: consentEndRequest,
      run: (body) => endConsent(getDb(), id, body, { byId: actingPerson(getDb(), request), nowMs: nowMs() }),
      tells: () => [{ kind: 'day' }],
    }),
});

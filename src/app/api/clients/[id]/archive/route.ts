import { archiveRequest } from '@/formats/requests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { archiveClient } from '@/server/services/clients';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    write<{ version: number; archived: boolean }, { version: number }>(request, {
      db: getDb(),
      schema: archiveRequest,
      run: (body) => archiveClient(getDb(), id, body, actingPerson(getDb(), request), nowMs()),
    }),
});

import { clientRequest } from '@/formats/requests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { changeClient, type ClientFields } from '@/server/services/clients';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    write<ClientFields & { version: number }, { version: number }>(request, {
      db: getDb(),
      schema: clientRequest,
      run: (body) => changeClient(getDb(), id, body, actingPerson(getDb(), request), nowMs()),
      tells: () => [{ kind: 'card', clientId: id }],
    }),
});

import { newClientRequest } from '@/formats/requests';
import { roleOf } from '@/server/auth/guard';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { NO_STORE } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { decoded } from '@/server/cookies';
import { linesAtDesk } from '@/server/services/atDesk';
import { createClient, type ClientFields } from '@/server/services/clients';
import { searchClients } from '@/server/services/clientSearch';

export const dynamic = 'force-dynamic';
const LONGEST_QUERY = 100;

/** The words to look for come in a header, not in the address: addresses end up in histories and logs. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => {
    const query = decoded(request.headers.get('x-search') ?? '').slice(0, LONGEST_QUERY);
    const archived = request.headers.get('x-archived') === 'yes';
    const found = searchClients(getDb(), query, nowMs(), archived);
    const clients = roleOf(getDb(), request) === 'desk' ? linesAtDesk(found, query) : found;
    return Response.json({ clients }, { headers: NO_STORE });
  },
  POST: (request) =>
    write<ClientFields, { id: string }>(request, {
      db: getDb(),
      schema: newClientRequest,
      run: (body) => createClient(getDb(), body, nowMs()),
      okStatus: 201,
    }),
});

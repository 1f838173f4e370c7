import { newClientRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { createClient, searchClients, type ClientFields } from '@/server/services/clients';
import { handle, handleRead, toResponse } from '@/server/toResponse';

export const dynamic = 'force-dynamic';
const LONGEST_QUERY = 100;

/** The words to look for come in a header, not in the address: addresses end up in histories and logs. */
export function GET(request: Request): Response {
  return handleRead(() => {
    const query = decodeURIComponent(request.headers.get('x-search') ?? '').slice(0, LONGEST_QUERY);
    return Response.json(
      { clients: searchClients(getDb(), query, nowMs(), request.headers.get('x-archived') === 'yes') },
      { headers: { 'cache-control': 'no-store' } },
    );
  });
}

export function POST(request: Request): Promise<Response> {
  return handle<ClientFields>(request, newClientRequest, (body) =>
    toResponse(createClient(getDb(), body, nowMs()), 201),
  );
}

import { clientRequest } from '@/formats/requests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { changeClient, type ClientFields } from '@/server/services/clients';
import { handle, toResponse } from '@/server/toResponse';

export async function PUT(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<ClientFields & { version: number }>(request, clientRequest, (body) =>
    toResponse(changeClient(getDb(), id, body, actingPerson(getDb(), request), nowMs())),
  );
}

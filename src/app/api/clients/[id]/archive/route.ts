import { archiveRequest } from '@/formats/requests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { archiveClient } from '@/server/services/clients';
import { handle, toResponse } from '@/server/toResponse';

export async function PUT(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<{ version: number; archived: boolean }>(request, archiveRequest, (body) =>
    toResponse(archiveClient(getDb(), id, body, actingPerson(getDb(), request), nowMs())),
  );
}

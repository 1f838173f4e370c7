import { patchTestRequest } from '@/formats/requests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { patchTest, type PatchTestAct } from '@/server/services/patchTests';
import { handle, toResponse } from '@/server/toResponse';

export async function POST(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<PatchTestAct>(request, patchTestRequest, (body) =>
    toResponse(patchTest(getDb(), id, body, actingPerson(getDb(), request), nowMs())),
  );
}

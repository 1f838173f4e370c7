import { consultRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import type { Consult } from '@/server/db/schema';
import { saveConsult } from '@/server/services/changeVisit';
import { handle, toResponse } from '@/server/toResponse';

export async function PUT(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<{ version: number; consult: Consult }>(request, consultRequest, (body) =>
    toResponse(saveConsult(getDb(), id, body, nowMs())),
  );
}

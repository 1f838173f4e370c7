import { closeRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { closeVisit, type CloseVisit } from '@/server/services/closeVisit';
import { handle, toResponse } from '@/server/toResponse';

export async function POST(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<CloseVisit>(request, closeRequest, (body) => toResponse(closeVisit(getDb(), id, body, nowMs())));
}

import { putOffRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { proposePutOff, putOff, type PutOff } from '@/server/services/putOff';
import { handle, handleRead, toResponse } from '@/server/toResponse';

export const dynamic = 'force-dynamic';

export async function GET(_: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handleRead(() => toResponse(proposePutOff(getDb(), id, nowMs())));
}

export async function POST(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<PutOff>(request, putOffRequest, (body) => toResponse(putOff(getDb(), id, body, nowMs())));
}

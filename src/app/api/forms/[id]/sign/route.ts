import { signRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { signForm, type SignForm } from '@/server/services/clientForm';
import { handle, toResponse } from '@/server/toResponse';

export async function POST(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<SignForm>(request, signRequest, (body) => toResponse(signForm(getDb(), id, body, nowMs())));
}

import { handOverRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { locked } from '@/server/formLock';
import { handOver } from '@/server/services/clientForm';
import { handle, toResponse } from '@/server/toResponse';

/** Hands this tablet over: from the answer on it shows the form only. */
export async function POST(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<{ personId: string; newPin?: string }>(request, handOverRequest, (body) => {
    const handed = handOver(getDb(), id, body, nowMs());
    return handed.ok ? locked(toResponse(handed, 201), handed.value.formId) : toResponse(handed);
  });
}

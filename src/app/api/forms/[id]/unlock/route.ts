import { unlockRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { unlocked } from '@/server/formLock';
import { takeBack } from '@/server/services/clientForm';
import { handle, toResponse } from '@/server/toResponse';

export async function POST(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<{ pin: string }>(request, unlockRequest, (body) => {
    const back = takeBack(getDb(), id, body.pin, nowMs());
    return back.ok ? unlocked(toResponse(back)) : toResponse(back);
  });
}

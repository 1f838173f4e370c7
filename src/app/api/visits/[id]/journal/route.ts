import type { TableEvent } from '@/core/hands';
import { journalRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { appendJournal } from '@/server/services/appendJournal';
import { handle, toResponse } from '@/server/toResponse';

export async function POST(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<{ events: readonly TableEvent[] }>(request, journalRequest, (body) =>
    toResponse(appendJournal(getDb(), id, body.events, nowMs())),
  );
}

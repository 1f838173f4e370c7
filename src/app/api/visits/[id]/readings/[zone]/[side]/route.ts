import { readingRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import type { Reading } from '@/server/db/schema';
import { saveReading } from '@/server/services/changeVisit';
import { handle, toResponse } from '@/server/toResponse';

export async function PUT(
  request: Request,
  context: { params: Promise<{ id: string; zone: string; side: string }> },
): Promise<Response> {
  const { id, zone, side } = await context.params;
  return handle<{ version: number; data: Reading }>(request, readingRequest, (body) =>
    toResponse(saveReading(getDb(), id, { zone, side }, body, nowMs())),
  );
}

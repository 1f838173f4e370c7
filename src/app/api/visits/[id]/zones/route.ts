import { zonesRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import type { ZoneRef } from '@/server/db/schema';
import { setZones } from '@/server/services/changeVisit';
import { handle, toResponse } from '@/server/toResponse';

export async function PUT(request: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handle<{ version: number; zones: readonly ZoneRef[] }>(request, zonesRequest, (body) =>
    toResponse(setZones(getDb(), id, body, nowMs())),
  );
}

import { chartRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import type { ChartData } from '@/server/db/schema';
import { saveChart } from '@/server/services/changeVisit';
import { handle, toResponse } from '@/server/toResponse';

export async function PUT(
  request: Request,
  context: { params: Promise<{ id: string; zone: string; side: string }> },
): Promise<Response> {
  const { id, zone, side } = await context.params;
  return handle<{ version: number; data: ChartData }>(request, chartRequest, (body) =>
    toResponse(saveChart(getDb(), id, { zone, side }, body, nowMs())),
  );
}

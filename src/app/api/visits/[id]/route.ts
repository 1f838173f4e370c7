import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { loadBench } from '@/server/services/bench';
import { handleRead, toResponse } from '@/server/toResponse';

export const dynamic = 'force-dynamic';

export async function GET(_: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handleRead(() => toResponse(loadBench(getDb(), id, nowMs())));
}

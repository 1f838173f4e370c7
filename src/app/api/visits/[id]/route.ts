import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { loadBench, plannedBench } from '@/server/services/bench';

export const dynamic = 'force-dynamic';

/** The bench; with `?plan=wait` not before its plan is made. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (request, { id }) => {
    const waits = new URL(request.url).searchParams.get('plan') === 'wait';
    return toResponse(waits ? plannedBench(getDb(), id, nowMs()) : loadBench(getDb(), id, nowMs()));
  },
});

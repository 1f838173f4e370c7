import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { late } from '@/server/services/late';

export const dynamic = 'force-dynamic';

/** What still fits when the client comes `?minutes=` late; nothing is written. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (request, { id }) => {
    const minutes = Number(new URL(request.url).searchParams.get('minutes') ?? '');
    return toResponse(late(getDb(), id, Number.isFinite(minutes) ? Math.round(minutes) : 0, nowMs()));
  },
});

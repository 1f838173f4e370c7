import { ok } from '@/core/shared';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { trailFault } from '@/server/trail';

export const dynamic = 'force-dynamic';

/** Whether every line follows from the one before; `fault` is the first that does not. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: async () => toResponse(ok({ fault: await trailFault(getDb()) })),
});

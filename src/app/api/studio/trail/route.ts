import { ok } from '@/core/shared';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { trailAsked } from '@/server/http/trailAsked';
import { loadTrail } from '@/server/services/trailView';

export const dynamic = 'force-dynamic';

/** Lines of the trail, the latest first. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => {
    const asked = trailAsked(request);
    return asked instanceof Response ? asked : toResponse(ok(loadTrail(getDb(), asked)));
  },
});

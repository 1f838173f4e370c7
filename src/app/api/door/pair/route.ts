import { pairRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { withTablet } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { pair, type Pair } from '@/server/services/tabletList';
import { noteDone } from '@/server/trail';

/** Makes this tablet known by a short code of the studio. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<Pair>(request, pairRequest, (body) =>
      withTablet(request, (tablet) => toResponse(noteDone(getDb(), request, pair(getDb(), body, tablet, nowMs())))),
    ),
});

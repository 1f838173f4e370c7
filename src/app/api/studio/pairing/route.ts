import { nothingRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { makePairing } from '@/server/services/tabletList';
import { noteDone } from '@/server/trail';

/** A short code for one tablet; never remembered with its answer. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<object>(request, nothingRequest, async () =>
      toResponse(noteDone(getDb(), request, await makePairing(getDb(), nowMs()))),
    ),
});

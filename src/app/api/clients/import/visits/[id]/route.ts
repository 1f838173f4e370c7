import type { PastMapping } from '@/formats/pastCsv';
import { pastMappingRequest } from '@/formats/importRequests';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask, write } from '@/server/http/write';
import type { ServiceResult } from '@/server/errors';
import { keepTakingIn } from '@/server/services/imports';
import { lookAtPast, startPast, type PastLook } from '@/server/services/pastVisits';
import type { ImportProgress } from '@/server/services/tableIn';

/** PUT: what taking it in would do with its columns read so. POST: begins to. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    ask<PastMapping>(request, pastMappingRequest, async (mapping) =>
      toResponse(await lookAtPast(getDb(), id, mapping)),
    ),
  POST: (request, { id }) =>
    write<PastMapping, ImportProgress, ImportProgress, ServiceResult<PastLook>>(request, {
      db: getDb(),
      schema: pastMappingRequest,
      prepare: (mapping) => lookAtPast(getDb(), id, mapping),
      run: (mapping, look) => startPast(getDb(), id, mapping, look),
      answer: (begun) => {
        keepTakingIn(getDb(), begun.id);
        return { ok: true, value: begun };
      },
    }),
});

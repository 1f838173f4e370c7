import { uploadRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { putDownFile } from '@/server/services/pastVisits';
import { noteDone } from '@/server/trail';

/** Puts a table of past visits down to be looked at: what its columns seem to hold. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<{ upload: string }>(request, uploadRequest, async ({ upload }) =>
      toResponse(noteDone(getDb(), request, await putDownFile(getDb(), upload, nowMs()))),
    ),
});

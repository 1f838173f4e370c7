import { ok } from '@/core/shared';
import { importRequest } from '@/formats/importRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { readImport } from '@/server/services/clientsCsv';

/** What taking a table in would do. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<{ csv: string }>(request, importRequest, async ({ csv }) =>
      toResponse(ok((await readImport(getDb(), csv, nowMs())).preview)),
    ),
});

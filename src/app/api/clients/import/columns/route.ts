import type { ClientMapping } from '@/formats/clientTable';
import { clientColumnsRequest } from '@/formats/importRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { matchColumns } from '@/server/services/clientsCsv';

/** What the columns of a table of clients seem to hold; with a mapping, the table in our own columns. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<{ csv: string; mapping?: ClientMapping }>(request, clientColumnsRequest, async ({ csv, mapping }) =>
      toResponse(await matchColumns(getDb(), csv, mapping, nowMs())),
    ),
});

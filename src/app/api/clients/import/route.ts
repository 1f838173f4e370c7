import { importRequest } from '@/formats/importRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { readImport, startImport, type ImportReady } from '@/server/services/clientsCsv';
import { keepTakingIn } from '@/server/services/imports';
import type { ImportProgress } from '@/server/services/tableIn';

/** Begins to take a table of clients in; how far it is: `GET /api/clients/import/ID`. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<{ csv: string }, ImportProgress, ImportProgress, ImportReady>(request, {
      db: getDb(),
      schema: importRequest,
      prepare: ({ csv }) => readImport(getDb(), csv, nowMs()),
      run: (_, ready) => startImport(getDb(), ready, nowMs()),
      answer: (begun) => {
        keepTakingIn(getDb(), begun.id);
        return { ok: true, value: begun };
      },
    }),
});

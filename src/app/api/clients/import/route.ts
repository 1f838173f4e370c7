import { importRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { importClients, type ImportPreview } from '@/server/services/clientsCsv';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<{ csv: string; commit: boolean }, ImportPreview>(request, {
      db: getDb(),
      schema: importRequest,
      remembers: ({ commit }) => commit,
      run: (body) => importClients(getDb(), body, nowMs()),
    }),
});

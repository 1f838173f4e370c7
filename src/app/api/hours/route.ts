import { hoursRequest } from '@/formats/deskRequests';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadHours, saveHours, type SaveHours, type StudioHours } from '@/server/services/hours';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  PUT: (request) =>
    write<SaveHours, null, StudioHours>(request, {
      db: getDb(),
      schema: hoursRequest,
      run: (body) => saveHours(getDb(), body),
      tells: () => [{ kind: 'day' }],
      answer: () => loadHours(getDb()),
    }),
});

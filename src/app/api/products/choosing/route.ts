import { choosingRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadCatalogue, saveChoosing, type Catalogue } from '@/server/services/catalogue';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  PUT: (request) =>
    write<Parameters<typeof saveChoosing>[1], null, Catalogue>(request, {
      db: getDb(),
      schema: choosingRequest,
      run: (body) => saveChoosing(getDb(), body),
      tells: () => [{ kind: 'studio' }],
      answer: () => loadCatalogue(getDb()),
    }),
});

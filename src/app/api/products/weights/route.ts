import { weightsRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadCatalogue, saveWeights, type Catalogue } from '@/server/services/catalogue';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  PUT: (request) =>
    write<Parameters<typeof saveWeights>[1], null, Catalogue>(request, {
      db: getDb(),
      schema: weightsRequest,
      run: (body) => saveWeights(getDb(), body),
      tells: () => [{ kind: 'studio' }],
      answer: () => loadCatalogue(getDb()),
    }),
});

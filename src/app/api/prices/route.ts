import { moneyRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadPrices, savePrices, type PriceList } from '@/server/services/prices';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  PUT: (request) =>
    write<Parameters<typeof savePrices>[1], null, PriceList>(request, {
      db: getDb(),
      schema: moneyRequest,
      run: (body) => savePrices(getDb(), body),
      tells: () => [{ kind: 'studio' }],
      answer: () => loadPrices(getDb()),
    }),
});

import { productImportRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { importProducts, withCatalogue, type ProductImport, type ProductLines } from '@/server/services/catalogue';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<{ text: string; commit: boolean }, ProductLines, ProductImport>(request, {
      db: getDb(),
      schema: productImportRequest,
      remembers: ({ commit }) => commit,
      run: (body) => importProducts(getDb(), body),
      tells: () => [{ kind: 'studio' }],
      answer: (lines, { commit }) => withCatalogue(getDb(), lines, commit),
    }),
});

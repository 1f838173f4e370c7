import { nothingRequest } from '@/formats/doorRequests';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { giveUpImport, importProgress, keepTakingIn } from '@/server/services/imports';
import type { ImportProgress } from '@/server/services/tableIn';

/** GET: how far it is. DELETE: gives it up; what of it is in goes out again. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => toResponse(importProgress(getDb(), id)),
  DELETE: (request, { id }) =>
    write<object, ImportProgress>(request, {
      db: getDb(),
      schema: nothingRequest,
      run: () => giveUpImport(getDb(), id),
      answer: (said) => {
        if (said.state === 'leaving') keepTakingIn(getDb(), id);
        return { ok: true, value: said };
      },
    }),
});

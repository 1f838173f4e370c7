import { keepingRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { keepTerms } from '@/server/keepingCare';
import { loadKeeping, setKeeping, type Keeping } from '@/server/services/keeping';

export const dynamic = 'force-dynamic';

/** For how long cards and messages are kept, and which cards are past it. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => toResponse(loadKeeping(getDb(), nowMs())),
  PUT: (request) =>
    write<Parameters<typeof setKeeping>[1], null, Keeping>(request, {
      db: getDb(),
      schema: keepingRequest,
      run: (body) => setKeeping(getDb(), body),
      answer: () => {
        keepTerms(getDb());
        return loadKeeping(getDb(), nowMs());
      },
    }),
});

import { ok } from '@/core/shared';
import { nothingRequest } from '@/formats/doorRequests';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { withPerson } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { updateSession } from '@/server/repos/doorRepo';

/** The tablet asks for the PIN from here on, as after a while without a touch. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<object>(request, nothingRequest, () =>
      withPerson(request, (who) => {
        updateSession(getDb(), who.id, { rests: true });
        return toResponse(ok(null));
      }),
    ),
});

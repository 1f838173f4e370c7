import { ok } from '@/core/shared';
import { nothingRequest } from '@/formats/doorRequests';
import { isWaxOnSkin, touch } from '@/server/auth/sessions';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { withPerson } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';

/**
 * GET: whether the tablet rests, and whether nothing may be asked for now; asking is no touch. POST: somebody has
 * touched it.
 */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) =>
    withPerson(request, ({ rests }) => toResponse(ok({ rests, isWaxOnSkin: isWaxOnSkin(getDb(), nowMs()) }))),
  POST: (request) =>
    ask<object>(request, nothingRequest, () =>
      withPerson(request, (who) => {
        touch(getDb(), who, nowMs());
        return toResponse(ok({ rests: who.rests }));
      }),
    ),
});

import { ok } from '@/core/shared';
import { nothingRequest } from '@/formats/doorRequests';
import { getDb } from '@/server/db/client';
import { isWaxOnSkin } from '@/server/auth/sessions';
import { nowMs } from '@/server/clock';
import { refused } from '@/server/errors';
import { toResponse } from '@/server/http/answers';
import { WAX_FIRST, withPerson } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { updateSession } from '@/server/repos/doorRepo';

/** The tablet asks for the PIN from here on, as after a while without a touch. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<object>(request, nothingRequest, () =>
      withPerson(request, (who) => {
        if (isWaxOnSkin(getDb(), nowMs())) return toResponse(refused(WAX_FIRST));
        updateSession(getDb(), who.id, { rests: true });
        return toResponse(ok(null));
      }),
    ),
});

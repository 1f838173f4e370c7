import { ok } from '@/core/shared';
import { nothingRequest } from '@/formats/doorRequests';
import { getDb } from '@/server/db/client';
import { isWaxOnSkin } from '@/server/auth/sessions';
import { nowMs } from '@/server/clock';
import { refused } from '@/server/errors';
import { toResponse } from '@/server/http/answers';
import { WAX_FIRST, withPerson, withoutSession } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { dropSession } from '@/server/repos/doorRepo';
import { noteDone } from '@/server/trail';

/** Ends the session of this tablet. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<object>(request, nothingRequest, () =>
      withPerson(request, (who) => {
        if (isWaxOnSkin(getDb(), nowMs())) return toResponse(refused(WAX_FIRST));
        noteDone(getDb(), request, ok(null));
        dropSession(getDb(), who.id);
        return withoutSession(toResponse(ok(null)));
      }),
    ),
});

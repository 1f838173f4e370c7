import { ok } from '@/core/shared';
import { signInRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { withSession, withTablet } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import {
  signInByCode,
  signInByPassphrase,
  signInByPin,
  type ByCode,
  type ByPassphrase,
  type ByPin,
} from '@/server/services/signIn';
import { noteRefused, noteSignIn } from '@/server/trail';

/** Not one transaction: a wrong try is counted although refused. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<ByPin | ByPassphrase | ByCode>(request, signInRequest, (by) =>
      withTablet(request, async (tablet) => {
        const [db, at] = [getDb(), nowMs()];
        const begun =
          'pin' in by
            ? await signInByPin(db, by, tablet, at)
            : await ('code' in by ? signInByCode(db, by, tablet, at) : signInByPassphrase(db, by, tablet, at));
        if (!begun.ok) {
          noteRefused(db, request, 'POST /api/door/sign-in');
          return toResponse(begun);
        }
        noteSignIn(db, begun.value.personId, tablet);
        return withSession(request, toResponse(ok({ personId: begun.value.personId })), begun.value.token);
      }),
    ),
});

import { unlockRequest } from '@/formats/requests';
import { signsIn } from '@/server/auth/sessions';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { errorResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { comeIn, tabletOf } from '@/server/tablets';
import { noteDone } from '@/server/trail';

/** Opens a browser that the server does not know yet. Not one transaction: a wrong PIN is counted although refused. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<{ pin: string }>(request, unlockRequest, async ({ pin }) => {
      if (signsIn(getDb())) return errorResponse(422, 'refused', 'Everybody signs in here: by name.');
      const tablet = tabletOf(request);
      return tablet === null
        ? errorResponse(401, 'no-cookie', 'This browser keeps no cookie: without one it cannot be told again.')
        : toResponse(noteDone(getDb(), request, await comeIn(getDb(), tablet, pin, nowMs())));
    }),
});

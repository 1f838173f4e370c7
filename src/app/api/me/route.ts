import { mineRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { withPerson } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { changeMine, type Mine } from '@/server/services/signIn';
import { noteDone } from '@/server/trail';

/** What somebody changes of their own doors. Not one transaction: a wrong try is counted although refused. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<Mine>(request, mineRequest, (act) =>
      withPerson(request, async (who, tablet) =>
        toResponse(noteDone(getDb(), request, await changeMine(getDb(), who, act, { tablet, nowMs: nowMs() }))),
      ),
    ),
});

import { unlockRequest } from '@/formats/requests';
import { beginAt, signsIn } from '@/server/auth/sessions';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { openTablet, tabletOf } from '@/server/tablets';
import { takeBack } from '@/server/services/clientForm';
import { withSession } from '@/server/http/doorRoute';
import { noteDone } from '@/server/trail';

/** Not one transaction: a wrong PIN is counted although it is refused. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    ask<{ pin: string }>(request, unlockRequest, async (body) => {
      const back = noteDone(getDb(), request, await takeBack(getDb(), id, body.pin, nowMs()));
      const tablet = tabletOf(request);
      if (!back.ok || tablet === null) return toResponse(back);
      openTablet(getDb(), tablet);
      if (!signsIn(getDb())) return toResponse(back);
      // whoever takes it back is at it from here on
      const token = beginAt(getDb(), back.value.personId, tablet, nowMs());
      return withSession(request, toResponse(back), token);
    }),
});

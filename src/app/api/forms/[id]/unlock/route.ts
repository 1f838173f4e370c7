import { unlockRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { openTablet, tabletOf } from '@/server/tablets';
import { takeBack } from '@/server/services/clientForm';
import { noteDone } from '@/server/trail';

/** Not one transaction: a wrong PIN is counted although it is refused. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    ask<{ pin: string }>(request, unlockRequest, (body) => {
      const back = noteDone(getDb(), request, takeBack(getDb(), id, body.pin, nowMs()));
      const tablet = tabletOf(request);
      if (back.ok && tablet !== null) openTablet(getDb(), tablet);
      return toResponse(back);
    }),
});

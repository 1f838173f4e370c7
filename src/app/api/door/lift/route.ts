import { unlockRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { withPerson } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { updateSession } from '@/server/repos/doorRepo';
import { provePin } from '@/server/services/signIn';
import { noteRefused } from '@/server/trail';

/** Lifts the privacy curtain: the PIN of whoever has signed in. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<{ pin: string }>(request, unlockRequest, ({ pin }) =>
      withPerson(request, async (who, tablet) => {
        const right = await provePin(getDb(), who.personId, pin, { tablet, nowMs: nowMs() });
        if (right.ok) updateSession(getDb(), who.id, { rests: false, touchedMs: nowMs() });
        else noteRefused(getDb(), request, 'POST /api/door/lift');
        return toResponse(right);
      }),
    ),
});

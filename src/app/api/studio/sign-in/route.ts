import { ok } from '@/core/shared';
import { turnRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { tell } from '@/server/events';
import { toResponse } from '@/server/http/answers';
import { withoutSession, withPerson, withSession, withTablet } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { turnOff, turnOn, type Turn } from '@/server/services/signIn';
import { noteDone } from '@/server/trail';

/** Whether everybody signs in; turned on, it gives the recovery codes, once. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<{ on: Turn } | { off: { passphrase: string } }>(request, turnRequest, (turn) =>
      'on' in turn
        ? withTablet(request, async (tablet) => {
            const begun = noteDone(getDb(), request, await turnOn(getDb(), turn.on, tablet, nowMs()));
            if (!begun.ok) return toResponse(begun);
            tell({ kind: 'studio' });
            return withSession(request, toResponse(ok({ codes: begun.value.codes })), begun.value.token);
          })
        : withPerson(request, async (who, tablet) => {
            const done = await turnOff(getDb(), turn.off, who, { tablet, nowMs: nowMs() });
            return done.ok ? withoutSession(toResponse(noteDone(getDb(), request, done))) : toResponse(done);
          }),
    ),
});

import { may } from '@/core/doors';
import { vouchRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { refused } from '@/server/errors';
import { tell } from '@/server/events';
import { toResponse } from '@/server/http/answers';
import { withPerson } from '@/server/http/doorRoute';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { readPerson } from '@/server/repos/studioRepo';
import { vouch, type Vouched } from '@/server/services/changeVisit';
import { provePin } from '@/server/services/signIn';
import { noteDone } from '@/server/trail';

interface Asked extends Vouched {
  readonly personId: string;
  readonly pin: string;
}

/** A second person says, with a PIN, that a trainee goes on in spite of an answer. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    ask<Asked>(request, vouchRequest, ({ personId, pin, ...said }) =>
      withPerson(request, async (who, tablet) => {
        const second = readPerson(getDb(), personId);
        if (!second?.active || second.id === who.personId || !may(second.role, 'override')) {
          return toResponse(refused('Somebody else says so: a practitioner or the owner.', 'personId'));
        }
        const right = await provePin(getDb(), personId, pin, { tablet, nowMs: nowMs() });
        if (!right.ok) return toResponse(right);
        const done = noteDone(getDb(), request, vouch(getDb(), id, said, { by: second.name, nowMs: nowMs() }));
        if (done.ok) tell({ kind: 'visit', visitId: id, version: done.value.version });
        return toResponse(done);
      }),
    ),
});

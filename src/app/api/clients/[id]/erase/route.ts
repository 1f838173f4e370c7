import { ok } from '@/core/shared';
import { eraseRequest } from '@/formats/doorRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { tell } from '@/server/events';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { visitCount } from '@/server/repos/visitRepo';
import { eraseClient, lookAtErasing, sweepFile, type EraseWanted } from '@/server/services/erase';
import { noteDone } from '@/server/trail';

export const dynamic = 'force-dynamic';

/** GET: what would go and what stays. POST: erases; nothing of it is remembered, the name was typed. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => toResponse(ok(lookAtErasing(getDb(), id, visitCount(getDb(), id), nowMs()))),
  POST: (request, { id }) =>
    ask<EraseWanted>(request, eraseRequest, (wanted) => {
      const by = { byId: actingPerson(getDb(), request), nowMs: nowMs() };
      const done = noteDone(getDb(), request, eraseClient(getDb(), id, wanted, by));
      if (done.ok) {
        sweepFile(getDb());
        tell({ kind: 'day' });
      }
      return toResponse(done);
    }),
});

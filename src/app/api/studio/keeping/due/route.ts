import { eraseDueRequest } from '@/formats/doorRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { tell } from '@/server/events';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { keepTerms } from '@/server/keepingCare';
import { sweepFile } from '@/server/services/erase';
import { eraseDue } from '@/server/services/keeping';
import { noteDone } from '@/server/trail';

/** Erases cards that are past their term; nothing of it is remembered, their number was typed. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<Parameters<typeof eraseDue>[1]>(request, eraseDueRequest, async (wanted) => {
      const by = { byId: actingPerson(getDb(), request), nowMs: nowMs() };
      const done = noteDone(getDb(), request, await eraseDue(getDb(), wanted, by));
      if (done.ok) {
        sweepFile(getDb());
        keepTerms(getDb());
        tell({ kind: 'day' });
      }
      return toResponse(done);
    }),
});

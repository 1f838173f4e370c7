import { firstRequest } from '@/formats/studioRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { firstAct, type FirstAct } from '@/server/services/firstRun';

export const dynamic = 'force-dynamic';

/** POST: a step of the first run, or its end. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<FirstAct, null>(request, {
      db: getDb(),
      schema: firstRequest,
      // a PIN is not remembered, not even as a hash of what was sent
      remembers: (act) => !('you' in act),
      run: (act) => firstAct(getDb(), act, nowMs()),
      tells: () => [{ kind: 'studio' }],
    }),
});

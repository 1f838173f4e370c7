import { wayRequest } from '@/formats/studioRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadWays, saveWay, type HouseWays, type SaveWay } from '@/server/services/houseWays';

export const dynamic = 'force-dynamic';

/** GET: the house rules. PUT: another choice of one, with its reason. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => toResponse(loadWays(getDb())),
  PUT: (request) =>
    write<SaveWay, null, HouseWays>(request, {
      db: getDb(),
      schema: wayRequest,
      run: (body) => saveWay(getDb(), body, { atMs: nowMs(), personId: actingPerson(getDb(), request) }),
      answer: () => loadWays(getDb()),
      tells: () => [{ kind: 'studio' }],
    }),
});

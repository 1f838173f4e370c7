import { houseRequest } from '@/formats/studioRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { tell } from '@/server/events';
import { houseAct, loadHouse, type HouseAct } from '@/server/services/house';

export const dynamic = 'force-dynamic';

/**
 * GET: the studio, its people and services. POST: one of them changed. Not one transaction with the memory of requests:
 * a wrong PIN is counted although refused.
 */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => toResponse(loadHouse(getDb())),
  POST: (request) =>
    ask<HouseAct>(request, houseRequest, (act) => {
      const done = houseAct(getDb(), act, nowMs());
      if (!done.ok) return toResponse(done);
      tell({ kind: 'studio' });
      return toResponse(loadHouse(getDb()));
    }),
});

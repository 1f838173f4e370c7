import { houseRequest } from '@/formats/studioRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { houseAct, loadHouse, type House, type HouseAct } from '@/server/services/house';

export const dynamic = 'force-dynamic';

/** GET: the studio, its people and services. POST: one of them changed. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => toResponse(loadHouse(getDb())),
  POST: (request) =>
    write<HouseAct, null, House>(request, {
      db: getDb(),
      schema: houseRequest,
      run: (act) => houseAct(getDb(), act, nowMs()),
      answer: () => loadHouse(getDb()),
      tells: () => [{ kind: 'studio' }],
    }),
});

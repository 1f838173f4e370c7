import { shelfRequest } from '@/formats/shelfRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadShelf, type Shelf } from '@/server/services/shelf';
import { shelfAct, type ShelfAct } from '@/server/services/shelfMoves';

export const dynamic = 'force-dynamic';

/** GET: the shelf as it stands. POST: a delivery, a sale, waste, a count. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => toResponse(loadShelf(getDb(), nowMs())),
  POST: (request) =>
    write<ShelfAct, null, Shelf>(request, {
      db: getDb(),
      schema: shelfRequest,
      run: (act) => shelfAct(getDb(), act, { atMs: nowMs(), personId: actingPerson(getDb(), request) }),
      answer: () => loadShelf(getDb(), nowMs()),
      tells: () => [{ kind: 'shelf' }],
    }),
});

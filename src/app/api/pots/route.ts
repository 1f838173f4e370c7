import { newPotRequest } from '@/formats/deskRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { tellPots } from '@/server/pots/live';
import { sensorChanged } from '@/server/pots/sensor';
import { addPot, loadPots, type NewPot, type PotsView } from '@/server/services/pots';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => toResponse(loadPots(getDb(), nowMs())),
  POST: (request) =>
    write<NewPot, { readonly id: string; readonly channel: number }, PotsView>(request, {
      db: getDb(),
      schema: newPotRequest,
      run: (body) => addPot(getDb(), body),
      answer: (pot) => {
        sensorChanged(getDb(), pot);
        tellPots(getDb(), nowMs());
        return loadPots(getDb(), nowMs());
      },
      tells: () => [{ kind: 'day' }],
    }),
});

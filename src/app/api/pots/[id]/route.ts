import { potRequest } from '@/formats/deskRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { tellPots } from '@/server/pots/live';
import { sensorChanged } from '@/server/pots/sensor';
import { changePot, loadPots, type PotChange, type PotsView } from '@/server/services/pots';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    write<PotChange, { readonly id: string; readonly channel: number }, PotsView>(request, {
      db: getDb(),
      schema: potRequest,
      run: (body) => changePot(getDb(), id, body),
      answer: (pot) => {
        sensorChanged(getDb(), pot);
        tellPots(getDb(), nowMs());
        return loadPots(getDb(), nowMs());
      },
      tells: () => [{ kind: 'day' }],
    }),
});

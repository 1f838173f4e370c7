import { potFaultRequest } from '@/formats/deskRequests';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { sensorFault } from '@/server/pots/sensor';
import { simulatedChannel } from '@/server/services/pots';
import type { PotFault } from '@/sim/protocol';

export const dynamic = 'force-dynamic';

/** Tries a fault of the simulated sensor out; nothing is written. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<{ readonly fault: PotFault }, { readonly channel: number }>(request, {
      db: getDb(),
      schema: potFaultRequest,
      remembers: () => false,
      run: (body) => {
        const found = simulatedChannel(getDb(), id);
        if (found.ok) sensorFault(found.value.channel, body.fault);
        return found;
      },
    }),
});

import { offerRequest } from '@/formats/deskRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { offerPlace, type Offer } from '@/server/services/waiting';

export const dynamic = 'force-dynamic';

/** POST: a place is offered to somebody who waits, as a message in the simulated post box. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ clientId: string }>({
  POST: (request, { clientId }) =>
    write<Offer, { readonly id: string }>(request, {
      db: getDb(),
      schema: offerRequest,
      run: (offer) => offerPlace(getDb(), clientId, offer, nowMs()),
      okStatus: 201,
      tells: () => [{ kind: 'day' }],
    }),
});

import { pinRequest } from '@/formats/studioRequests';
import { signedIn } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { changePin, loadHouse, type PinChange } from '@/server/services/house';
import { noteDone } from '@/server/trail';

export const dynamic = 'force-dynamic';

/** POST: another PIN. Not one transaction: a wrong PIN is counted although refused; a PIN is never remembered. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<PinChange>(request, pinRequest, async (change) => {
      const who = signedIn(getDb(), request);
      const resets = who !== null && who.personId !== change.id;
      const done = noteDone(getDb(), request, await changePin(getDb(), change, nowMs(), resets));
      return toResponse(done.ok ? loadHouse(getDb()) : done);
    }),
});

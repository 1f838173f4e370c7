import { pinRequest } from '@/formats/studioRequests';
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
    ask<PinChange>(request, pinRequest, (change) => {
      const done = noteDone(getDb(), request, changePin(getDb(), change, nowMs()));
      return toResponse(done.ok ? loadHouse(getDb()) : done);
    }),
});

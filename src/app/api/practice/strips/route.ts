import { practisedStripRequest } from '@/formats/practiceRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { keepPractisedStrip, type PractisedStrip } from '@/server/services/learners';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<PractisedStrip, null>(request, {
      db: getDb(),
      schema: practisedStripRequest,
      run: (body) => keepPractisedStrip(getDb(), body, { personId: actingPerson(getDb(), request), atMs: nowMs() }),
    }),
});

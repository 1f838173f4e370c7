import { getDb } from '@/server/db/client';
import { fileResponse } from '@/server/http/answers';
import { inPieces } from '@/server/http/inPieces';
import { route } from '@/server/http/route';
import { trailAsked } from '@/server/http/trailAsked';
import { trailCsv } from '@/server/services/trailView';

export const dynamic = 'force-dynamic';

/** The same lines as a table, with their hashes. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => {
    const asked = trailAsked(request);
    return asked instanceof Response
      ? asked
      : fileResponse(inPieces(trailCsv(getDb(), asked)), 'text/csv; charset=utf-8', 'trail.csv');
  },
});

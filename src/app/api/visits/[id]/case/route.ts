import { getDb } from '@/server/db/client';
import { notFound } from '@/server/errors';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { readVisit } from '@/server/repos/visitRepo';
import { partsOf } from '@/server/services/bench';
import { buildCase } from '@/server/services/planCase';

export const dynamic = 'force-dynamic';

/** The visit as an open case (docs/formats.md). */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => {
    const visit = readVisit(getDb(), id);
    const found = visit && partsOf(getDb(), visit);
    if (!found) return toResponse(notFound('visit'));
    return fileResponse(JSON.stringify(buildCase(found.parts), null, 2), 'application/json', 'visit-case.json');
  },
});

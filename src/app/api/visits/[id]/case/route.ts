import { getDb } from '@/server/db/client';
import { notFound } from '@/server/errors';
import { readVisit } from '@/server/repos/visitRepo';
import { partsOf } from '@/server/services/bench';
import { buildCase } from '@/server/services/planCase';
import { handleRead, toResponse } from '@/server/toResponse';

export const dynamic = 'force-dynamic';

/** The visit as an open case (docs/formats.md); the file name holds no personal data. */
export async function GET(_: Request, context: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await context.params;
  return handleRead(() => {
    const db = getDb();
    const visit = readVisit(db, id);
    const found = visit && partsOf(db, visit);
    if (!found) return toResponse(notFound('visit'));
    return new Response(JSON.stringify(buildCase(found.parts), null, 2), {
      headers: {
        'content-type': 'application/json',
        'content-disposition': 'attachment; filename="visit-case.json"',
        'cache-control': 'no-store',
      },
    });
  });
}

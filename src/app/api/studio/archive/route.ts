import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { tell } from '@/server/events';
import { errorResponse, fileResponse, toResponse } from '@/server/http/answers';
import { isForeign } from '@/server/http/foreign';
import { route } from '@/server/http/route';
import { archiveStream, bringInBeside } from '@/server/services/archiveBeside';
import { noteDone } from '@/server/trail';

export const dynamic = 'force-dynamic';

const nameOf = (atMs: number): string => `studio-${new Date(atMs).toISOString().slice(0, 10)}.zip`;

/** GET: the whole studio as one file. POST: such a file into a studio that is still empty. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => fileResponse(archiveStream(), 'application/zip', nameOf(nowMs())),
  POST: async (request) => {
    if (isForeign(request)) return errorResponse(403, 'foreign-origin', 'Only this studio may write here.');
    const done = noteDone(getDb(), request, await bringInBeside(request));
    if (done.ok) {
      tell({ kind: 'studio' });
      tell({ kind: 'day' });
    }
    return toResponse(done);
  },
});

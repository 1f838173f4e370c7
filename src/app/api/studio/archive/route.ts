import { uploadRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { tell } from '@/server/events';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { archiveStream, bringInBeside } from '@/server/services/archiveBeside';
import { noteDone } from '@/server/trail';

export const dynamic = 'force-dynamic';

const nameOf = (atMs: number): string => `studio-${new Date(atMs).toISOString().slice(0, 10)}.zip`;

/** GET: the whole studio as one file. POST: such a file into a studio that is still empty. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => fileResponse(archiveStream(), 'application/zip', nameOf(nowMs())),
  POST: (request) =>
    ask<{ upload: string }>(request, uploadRequest, async ({ upload }) => {
      const done = noteDone(getDb(), request, await bringInBeside(upload));
      if (done.ok) {
        tell({ kind: 'studio' });
        tell({ kind: 'day' });
      }
      return toResponse(done);
    }),
});

import { nothingRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ask } from '@/server/http/write';
import { tryBackup } from '@/server/services/backupDrill';
import { noteDone } from '@/server/trail';

/** Tries the newest backup, beside the server. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    ask<object>(request, nothingRequest, async () =>
      toResponse(noteDone(getDb(), request, await tryBackup(getDb(), nowMs()))),
    ),
});

import { textRequest } from '@/formats/studioRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadTexts, saveText, type OwnTexts } from '@/server/services/ownTexts';

export const dynamic = 'force-dynamic';

/** GET: the studio's own words. PUT: a new version of one. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => toResponse(loadTexts(getDb())),
  PUT: (request) =>
    write<Parameters<typeof saveText>[1], null, OwnTexts>(request, {
      db: getDb(),
      schema: textRequest,
      run: (body) => saveText(getDb(), body, { atMs: nowMs(), personId: actingPerson(getDb(), request) }),
      answer: () => loadTexts(getDb()),
    }),
});

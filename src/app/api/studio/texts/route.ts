import { ok } from '@/core/shared';
import { textRequest } from '@/formats/studioRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import type { ServiceResult } from '@/server/errors';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadMessageTexts, saveMessageText, type OwnMessages } from '@/server/services/ownMessages';
import { loadTexts, saveText, type OwnTexts } from '@/server/services/ownTexts';

export const dynamic = 'force-dynamic';

type Wanted = Parameters<typeof saveText>[1] | Parameters<typeof saveMessageText>[1];
const isMessage = (body: Wanted): body is Parameters<typeof saveMessageText>[1] =>
  body.kind === 'reminder' || body.kind === 'offer';

const all = (): ServiceResult<OwnTexts & OwnMessages> => {
  const texts = loadTexts(getDb());
  return texts.ok ? ok({ ...texts.value, ...loadMessageTexts(getDb()) }) : texts;
};

/** GET: the studio's own words. PUT: a new version of one. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => toResponse(all()),
  PUT: (request) =>
    write<Wanted, null, OwnTexts & OwnMessages>(request, {
      db: getDb(),
      schema: textRequest,
      run: (body) => {
        const by = { atMs: nowMs(), personId: actingPerson(getDb(), request) };
        return isMessage(body) ? saveMessageText(getDb(), body, by) : saveText(getDb(), body, by);
      },
      answer: all,
    }),
});

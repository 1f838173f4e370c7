import { ok } from '@/core/shared';
import { drillAnswerRequest } from '@/formats/practiceRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { answerDrill, loadDrills, type DrillAnswer, type DrillsView } from '@/server/services/drills';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<DrillAnswer, null, DrillsView>(request, {
      db: getDb(),
      schema: drillAnswerRequest,
      run: (body) => answerDrill(getDb(), body, { atMs: nowMs(), personId: actingPerson(getDb(), request) }),
      answer: () => ok(loadDrills(getDb(), actingPerson(getDb(), request), nowMs())),
    }),
});

import type { Board } from '@/core/exam';
import { ok } from '@/core/shared';
import { boardRequest } from '@/formats/practiceRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { boardNow, saveBoard } from '@/server/services/exams';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  PUT: (request) =>
    write<{ readonly version: number; readonly board: Board }, null, ReturnType<typeof boardNow>>(request, {
      db: getDb(),
      schema: boardRequest,
      run: (body) => saveBoard(getDb(), body, { personId: actingPerson(getDb(), request), atMs: nowMs() }),
      answer: () => ok(boardNow(getDb())),
    }),
});

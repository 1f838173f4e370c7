// The journal of a visit's table. Acts come faster than anything else, so the script that runs the server asks this
// route directly (`fastRoutes`); the framework's route at the same address is the same one.

import 'server-only';
import { ok } from '../../core/shared';
import { journalRequest } from '../../formats/tableRequests';
import { nowMs } from '../clock';
import { getDb } from '../db/client';
import { entriesOf } from '../repos/journalRepo';
import { appendJournal, type AppendJournal, type JournalNews } from '../services/appendJournal';
import { toResponse } from './answers';
import { route } from './route';
import { write } from './write';

export const journalRoute = route<{ id: string }>({
  /** What is new since `?after=`. */
  GET: (request, { id }) => {
    const after = Number(new URL(request.url).searchParams.get('after') ?? 0);
    return toResponse(ok({ entries: entriesOf(getDb(), id, Number.isSafeInteger(after) ? after : 0) }));
  },
  POST: (request, { id }) =>
    write<AppendJournal, JournalNews>(request, {
      db: getDb(),
      schema: journalRequest,
      isFrequent: true,
      run: (body) => appendJournal(getDb(), id, body, nowMs()),
      tells: ({ entries }) => entries.slice(-1).map(({ seq }) => ({ kind: 'journal', visitId: id, at: seq })),
    }),
});

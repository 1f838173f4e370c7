import { journalRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { ok } from '@/core/shared';
import { entriesOf } from '@/server/repos/visitRepo';
import { appendJournal, type AppendJournal, type JournalNews } from '@/server/services/appendJournal';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  /** What is new since `?after=`. */
  GET: (request, { id }) => {
    const after = Number(new URL(request.url).searchParams.get('after') ?? 0);
    return toResponse(ok({ entries: entriesOf(getDb(), id, Number.isSafeInteger(after) ? after : 0) }));
  },
  POST: (request, { id }) =>
    write<AppendJournal, JournalNews>(request, {
      db: getDb(),
      schema: journalRequest,
      run: (body) => appendJournal(getDb(), id, body, nowMs()),
      tells: ({ entries }) => entries.slice(-1).map(({ seq }) => ({ kind: 'journal', visitId: id, at: seq })),
    }),
});

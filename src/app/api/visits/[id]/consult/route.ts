import { consultRequest } from '@/formats/requests';
import { roleOf } from '@/server/auth/guard';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import type { Consult } from '@/server/db/schema';
import { loadBench, type Bench } from '@/server/services/bench';
import { saveConsult, type Saved } from '@/server/services/changeVisit';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    write<{ version: number; consult: Consult }, Saved, Bench>(request, {
      db: getDb(),
      schema: consultRequest,
      run: (body) => saveConsult(getDb(), id, body, nowMs(), roleOf(getDb(), request)),
      tells: ({ version }) => [{ kind: 'visit', visitId: id, version }],
      answer: () => loadBench(getDb(), id, nowMs()),
    }),
});

import { readingRequest } from '@/formats/tableRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import type { Reading } from '@/server/db/schema';
import { loadBench, type Bench } from '@/server/services/bench';
import { saveReading, type Saved } from '@/server/services/changeVisit';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string; zone: string; side: string }>({
  PUT: (request, { id, zone, side }) =>
    write<{ version: number; data: Reading }, Saved, Bench>(request, {
      db: getDb(),
      schema: readingRequest,
      run: (body) => saveReading(getDb(), id, { zone, side }, body, nowMs()),
      tells: ({ version }) => [{ kind: 'visit', visitId: id, version }],
      answer: () => loadBench(getDb(), id, nowMs()),
    }),
});

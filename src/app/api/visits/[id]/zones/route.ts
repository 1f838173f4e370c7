import { zonesRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import type { ZoneRef } from '@/server/db/schema';
import { loadBench, type Bench } from '@/server/services/bench';
import { setZones, type Saved } from '@/server/services/changeVisit';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    write<{ version: number; zones: readonly ZoneRef[] }, Saved, Bench>(request, {
      db: getDb(),
      schema: zonesRequest,
      run: (body) => setZones(getDb(), id, body, nowMs()),
      tells: ({ version }) => [{ kind: 'visit', visitId: id, version }],
      answer: () => loadBench(getDb(), id, nowMs()),
    }),
});

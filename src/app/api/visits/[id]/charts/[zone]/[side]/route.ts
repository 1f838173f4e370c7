import { chartRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import type { ChartData } from '@/server/db/schema';
import { loadBench, type Bench } from '@/server/services/bench';
import { saveChart, type Saved } from '@/server/services/changeVisit';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string; zone: string; side: string }>({
  PUT: (request, { id, zone, side }) =>
    write<{ version: number; data: ChartData }, Saved, Bench>(request, {
      db: getDb(),
      schema: chartRequest,
      run: (body) => saveChart(getDb(), id, { zone, side }, body, nowMs()),
      tells: ({ version }) => [{ kind: 'visit', visitId: id, version }],
      answer: () => loadBench(getDb(), id, nowMs()),
    }),
});

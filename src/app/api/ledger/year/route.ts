import { yearRequest } from '@/formats/ledgerRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadLedger, saveYear, type LedgerSums, type Period, type YearSaid } from '@/server/services/ledgerSums';

export const dynamic = 'force-dynamic';

const periodAsked = (request: Request): Period => {
  const period = new URL(request.url).searchParams.get('period');
  return period === 'month' || period === 'year' ? period : 'half-year';
};

/** GET: what an hour earns and the year, `?period=month|half-year|year`. PUT: what the studio says of its year. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => toResponse(loadLedger(getDb(), periodAsked(request), nowMs())),
  PUT: (request) =>
    write<{ readonly version: number; readonly year: YearSaid }, null, LedgerSums>(request, {
      db: getDb(),
      schema: yearRequest,
      run: (body) => saveYear(getDb(), body),
      answer: () => loadLedger(getDb(), periodAsked(request), nowMs()),
      tells: () => [{ kind: 'ledger' }],
    }),
});

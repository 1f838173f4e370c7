import { isCivilDate } from '@/core/shared';
import { ledgerRequest } from '@/formats/ledgerRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { ledgerAct, type LedgerAct } from '@/server/services/ledgerActs';
import { loadLedgerDay, type LedgerDay } from '@/server/services/ledgerDay';

export const dynamic = 'force-dynamic';

const dayAsked = (request: Request): string | undefined => {
  const on = new URL(request.url).searchParams.get('on');
  return on !== null && isCivilDate(on) ? on : undefined;
};

/** GET: a day, `?on=`. POST: something entered, sold, given back, undone, closed. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => toResponse(loadLedgerDay(getDb(), dayAsked(request), nowMs())),
  POST: (request) =>
    write<{ readonly onDate?: string; readonly act: LedgerAct }, null, LedgerDay>(request, {
      db: getDb(),
      schema: ledgerRequest,
      run: ({ act, onDate }) =>
        ledgerAct(getDb(), act, onDate, { atMs: nowMs(), personId: actingPerson(getDb(), request) }),
      answer: (_, { onDate }) => loadLedgerDay(getDb(), onDate, nowMs()),
      tells: () => [{ kind: 'ledger' }],
    }),
});

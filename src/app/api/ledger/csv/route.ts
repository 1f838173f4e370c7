import { isCivilDate } from '@/core/shared';
import { getDb } from '@/server/db/client';
import { errorResponse, fileResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { ledgerCsv, TABLES } from '@/server/services/ledgerCsv';

export const dynamic = 'force-dynamic';

/** GET: the lines, months or closed days of a span as CSV, `?table=&from=&to=`. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => {
    const asked = new URL(request.url).searchParams;
    const table = TABLES.find((t) => t === asked.get('table'));
    const [from, to] = [asked.get('from') ?? '', asked.get('to') ?? ''];
    if (!table) return errorResponse(422, 'invalid', 'table: one of lines, months, closings.');
    if (!isCivilDate(from) || !isCivilDate(to)) return errorResponse(422, 'invalid', 'from and to: dates.');
    return fileResponse(ledgerCsv(getDb(), table, from, to), 'text/csv; charset=utf-8', `ledger-${table}.csv`);
  },
});

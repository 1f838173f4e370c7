import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { inPieces } from '@/server/http/inPieces';
import { clientRecord, recordJson } from '@/server/services/clientRecord';
import { recordPdf } from '@/server/services/recordPdf';

export const dynamic = 'force-dynamic';

/** One client's whole record, as JSON or (`?as=pdf`) to be read. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (request, { id }) => {
    const record = clientRecord(getDb(), id, nowMs());
    if (!record.ok) return toResponse(record);
    return new URL(request.url).searchParams.get('as') === 'pdf'
      ? fileResponse(recordPdf(record.value), 'application/pdf', 'client-record.pdf')
      : fileResponse(inPieces(recordJson(record.value)), 'application/json', 'client-record.json');
  },
});

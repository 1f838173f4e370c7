import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { incidentRecord } from '@/server/services/incidentRecord';
import { blocksPdf } from '@/server/services/recordPdf';

export const dynamic = 'force-dynamic';

/** What went wrong at a visit, to be printed and signed. It is written through the journal. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_request, { id }) => {
    const record = incidentRecord(getDb(), id);
    return record.ok
      ? fileResponse(blocksPdf(record.value, 'Incident record'), 'application/pdf', 'incident-record.pdf')
      : toResponse(record);
  },
});

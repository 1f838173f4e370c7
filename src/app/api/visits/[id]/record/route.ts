import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { blocksPdf } from '@/server/services/recordPdf';
import { visitRecord } from '@/server/services/visitRecord';

export const dynamic = 'force-dynamic';

/** One visit on one page, to be signed. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_request, { id }) => {
    const record = visitRecord(getDb(), id);
    return record.ok
      ? fileResponse(blocksPdf(record.value, 'Visit record'), 'application/pdf', 'visit-record.pdf')
      : toResponse(record);
  },
});

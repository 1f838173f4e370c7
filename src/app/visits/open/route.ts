import { openVisitRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { openVisit, type OpenVisit } from '@/server/services/openVisit';
import { handleForm } from '@/server/toResponse';

/** What a name on Today does before the page's script runs. */
export function POST(request: Request): Promise<Response> {
  return handleForm<OpenVisit>(
    request,
    openVisitRequest,
    (body) => {
      const opened = openVisit(getDb(), body, nowMs());
      return opened.ok ? `/visits/${opened.value.visitId}` : null;
    },
    '/',
  );
}

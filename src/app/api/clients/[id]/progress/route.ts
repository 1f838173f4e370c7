import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { loadProgress } from '@/server/services/progress';
import { progressPdf } from '@/server/services/progressPdf';

export const dynamic = 'force-dynamic';

/** The client's progress on one page, A5. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => {
    const progress = loadProgress(getDb(), id, nowMs());
    return progress.ok
      ? fileResponse(progressPdf(progress.value), 'application/pdf', 'progress.pdf')
      : toResponse(progress);
  },
});

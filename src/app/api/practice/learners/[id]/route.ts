import { civilDateAt, nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { readStudio } from '@/server/repos/studioRepo';
import { loadLearner } from '@/server/services/learners';
import { learnerPdf } from '@/server/services/learnerPdf';

export const dynamic = 'force-dynamic';

/** A learner's record on one page, A5. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => {
    const learner = loadLearner(getDb(), id, nowMs());
    return learner.ok
      ? fileResponse(
          learnerPdf(learner.value, civilDateAt(nowMs(), readStudio(getDb())?.timeZone ?? 'UTC')),
          'application/pdf',
          'practice-record.pdf',
        )
      : toResponse(learner);
  },
});

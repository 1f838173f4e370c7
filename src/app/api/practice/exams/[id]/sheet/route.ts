import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { loadExam } from '@/server/services/exams';
import { examSheetPdf } from '@/server/services/examSheetPdf';

export const dynamic = 'force-dynamic';

/** The score sheet on paper; of one that is not closed what the candidate may see. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => {
    const exam = loadExam(getDb(), id, 'candidate', nowMs());
    return exam.ok ? fileResponse(examSheetPdf(exam.value), 'application/pdf', 'score-sheet.pdf') : toResponse(exam);
  },
});

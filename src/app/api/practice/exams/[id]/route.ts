import { examActRequest } from '@/formats/practiceRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { addExamAct, loadExam, type ExamAct, type ExamView } from '@/server/services/exams';

export const dynamic = 'force-dynamic';

/** Whose page asks: the examiner's says so, everybody else sees what the candidate may. */
const asOf = (request: Request): 'candidate' | 'examiner' =>
  new URL(request.url).searchParams.get('as') === 'examiner' ? 'examiner' : 'candidate';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (request, { id }) => toResponse(loadExam(getDb(), id, asOf(request), nowMs())),
  POST: (request, { id }) =>
    write<ExamAct, null, ExamView>(request, {
      db: getDb(),
      schema: examActRequest,
      run: (body) => addExamAct(getDb(), id, body, { personId: actingPerson(getDb(), request), nowMs: nowMs() }),
      answer: () => loadExam(getDb(), id, asOf(request), nowMs()),
      tells: () => [{ kind: 'exam', examId: id }],
    }),
});

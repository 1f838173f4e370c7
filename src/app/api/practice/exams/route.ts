import { newExamRequest } from '@/formats/practiceRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { makeExam, type NewExam } from '@/server/services/exams';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<NewExam, { readonly id: string }>(request, {
      db: getDb(),
      schema: newExamRequest,
      run: (body) => makeExam(getDb(), body, nowMs()),
      tells: ({ id }) => [{ kind: 'exam', examId: id }],
    }),
});

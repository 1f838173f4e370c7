import { signRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { signForm, type SignForm } from '@/server/services/clientForm';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<SignForm, { version: number }>(request, {
      db: getDb(),
      schema: signRequest,
      run: (body) => signForm(getDb(), id, body, nowMs()),
      tells: () => [{ kind: 'form', formId: id }],
    }),
});

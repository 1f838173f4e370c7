import { formRequest } from '@/formats/requests';
import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import type { FormData } from '@/server/db/schema';
import { loadForm, saveForm } from '@/server/services/clientForm';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  GET: (_, { id }) => toResponse(loadForm(getDb(), id)),
  PUT: (request, { id }) =>
    write<{ version: number; data: FormData }, { version: number }>(request, {
      db: getDb(),
      schema: formRequest,
      run: (body) => saveForm(getDb(), id, body),
    }),
});

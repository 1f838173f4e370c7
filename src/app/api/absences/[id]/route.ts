import Joi from 'joi';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { removeAbsence } from '@/server/services/absences';

export const dynamic = 'force-dynamic';

/** PUT with an empty body takes the absence away. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    write<object, null>(request, {
      db: getDb(),
      schema: Joi.object({}).required(),
      run: () => removeAbsence(getDb(), id),
      tells: () => [{ kind: 'day' }],
    }),
});

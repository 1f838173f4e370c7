import Joi from 'joi';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { removeWaiting } from '@/server/services/waiting';

export const dynamic = 'force-dynamic';

/** PUT with an empty body: the client waits no more. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ clientId: string }>({
  PUT: (request, { clientId }) =>
    write<object, null>(request, {
      db: getDb(),
      schema: Joi.object({}).required(),
      run: () => removeWaiting(getDb(), clientId),
      tells: () => [{ kind: 'day' }],
    }),
});

import Joi from 'joi';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadPostBox, writeReminders, type PostBox } from '@/server/services/postBox';

export const dynamic = 'force-dynamic';

/** Writes the reminders that are due into the simulated post box. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<object, { readonly count: number }, PostBox>(request, {
      db: getDb(),
      schema: Joi.object({}).required(),
      run: () => writeReminders(getDb(), nowMs()),
      answer: () => loadPostBox(getDb(), nowMs()),
    }),
});

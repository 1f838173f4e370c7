import Joi from 'joi';
import { ok } from '@/core/shared';
import { roleOf } from '@/server/auth/guard';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { postAtDesk } from '@/server/services/atDesk';
import { loadPostBox, writeReminders, type PostBox } from '@/server/services/postBox';

export const dynamic = 'force-dynamic';

/** Writes the reminders that are due into the simulated post box. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<object, { readonly count: number }, PostBox>(request, {
      db: getDb(),
      schema: Joi.object({}).required(),
      run: () => writeReminders(getDb(), nowMs()),
      answer: () => {
        const box = loadPostBox(getDb(), nowMs());
        return box.ok && roleOf(getDb(), request) === 'desk' ? ok(postAtDesk(box.value)) : box;
      },
    }),
});

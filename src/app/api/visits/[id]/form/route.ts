import { handOverRequest } from '@/formats/requests';
import { signsIn } from '@/server/auth/sessions';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { refused } from '@/server/errors';
import { lockTablet, tabletOf } from '@/server/tablets';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { handOver } from '@/server/services/clientForm';

/** Hands this tablet over: from the answer on it shows the form only. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<{ personId: string; newPin?: string }, { formId: string }>(request, {
      db: getDb(),
      schema: handOverRequest,
      run: (body) => {
        // where people sign in a PIN is chosen by whose it is, or given by the owner
        if (body.newPin !== undefined && signsIn(getDb())) return refused('A PIN is chosen under your name.', 'newPin');
        const handed = handOver(getDb(), id, body, nowMs());
        const tablet = tabletOf(request);
        if (handed.ok && tablet !== null) lockTablet(getDb(), tablet, handed.value.formId);
        return handed;
      },
      okStatus: 201,
    }),
});

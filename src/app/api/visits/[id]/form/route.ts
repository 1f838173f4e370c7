import { handOverRequest } from '@/formats/requests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
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
        const handed = handOver(getDb(), id, body, nowMs());
        const tablet = tabletOf(request);
        if (handed.ok && tablet !== null) lockTablet(getDb(), tablet, handed.value.formId);
        return handed;
      },
      okStatus: 201,
    }),
});

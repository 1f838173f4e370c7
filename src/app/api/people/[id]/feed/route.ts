import { feedRequest } from '@/formats/deskRequests';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { changeFeed } from '@/server/services/calendars';

export const dynamic = 'force-dynamic';

/** Makes the private address of a practitioner's calendar, or closes it; its secret is told once and not remembered. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<{ readonly open: boolean }, { readonly token: string | null }>(request, {
      db: getDb(),
      schema: feedRequest,
      remembers: () => false,
      run: (body) => changeFeed(getDb(), id, body.open),
    }),
});

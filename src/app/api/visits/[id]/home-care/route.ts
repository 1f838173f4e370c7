import { homeCareRequest } from '@/formats/deskRequests';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { sayHomeCare, type HomeCareAct, type HomeCareHere } from '@/server/services/homeCare';

export const dynamic = 'force-dynamic';

/** PUT: what is advised for home, or one answer to what was advised last time. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  PUT: (request, { id }) =>
    write<HomeCareAct, HomeCareHere>(request, {
      db: getDb(),
      schema: homeCareRequest,
      run: (act) => sayHomeCare(getDb(), id, act),
    }),
});

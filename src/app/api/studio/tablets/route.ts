import { ok } from '@/core/shared';
import { tabletRequest } from '@/formats/doorRequests';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { loadTablets, tabletAct, type TabletAct, type TabletList } from '@/server/services/tabletList';
import { tabletOf } from '@/server/tablets';

export const dynamic = 'force-dynamic';

/** Names a tablet, or forgets it. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  POST: (request) =>
    write<TabletAct, null, TabletList>(request, {
      db: getDb(),
      schema: tabletRequest,
      run: (act) => tabletAct(getDb(), act, nowMs()),
      answer: () => ok(loadTablets(getDb(), tabletOf(request))),
    }),
});

import { potNoteRequest } from '@/formats/deskRequests';
import { actingPerson } from '@/server/acting';
import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { write } from '@/server/http/write';
import { tellPots } from '@/server/pots/live';
import { sensorSet } from '@/server/pots/sensor';
import { loadPots, notePot, type PotNote, type PotsView } from '@/server/services/pots';

export const dynamic = 'force-dynamic';

export const { GET, POST, PUT, PATCH, DELETE } = route<{ id: string }>({
  POST: (request, { id }) =>
    write<PotNote, { readonly channel: number; readonly setC: number | null }, PotsView>(request, {
      db: getDb(),
      schema: potNoteRequest,
      run: (body) => notePot(getDb(), id, body, { atMs: nowMs(), personId: actingPerson(getDb(), request) }),
      answer: ({ channel, setC }, { kind }) => {
        if (kind === 'set') sensorSet(channel, setC);
        tellPots(getDb(), nowMs());
        return loadPots(getDb(), nowMs());
      },
    }),
});

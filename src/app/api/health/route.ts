import { getDb } from '@/server/db/client';
import { route } from '@/server/http/route';
import { readStudio } from '@/server/repos/studioRepo';

export const dynamic = 'force-dynamic';

/** For the scripts: the server answers and its database is open. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: () => Response.json({ ok: true, studio: readStudio(getDb()) !== undefined }),
});

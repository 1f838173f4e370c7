import { getDb } from '@/server/db/client';
import { readStudio } from '@/server/repos/studioRepo';
import { handleRead } from '@/server/toResponse';

export const dynamic = 'force-dynamic';

/** For the scripts: the server answers and its database is open. */
export function GET(): Response {
  return handleRead(() => Response.json({ ok: true, studio: readStudio(getDb()) !== undefined }));
}

import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { recall } from '@/server/services/shelf';

export const dynamic = 'force-dynamic';

/** Which clients met `?lot=`, and what is left of it. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => toResponse(recall(getDb(), (new URL(request.url).searchParams.get('lot') ?? '').trim())),
});

import { getDb } from '@/server/db/client';
import { toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { bookingWanted } from '@/server/services/bookingWanted';

export const dynamic = 'force-dynamic';

/** What `?client=` would be booked for with `?person=`, and how long; `?services=` by commas, absent = as last time. */
export const { GET, POST, PUT, PATCH, DELETE } = route({
  GET: (request) => {
    const asked = new URL(request.url).searchParams;
    const services = (asked.get('services') ?? '').split(',').filter((s) => s !== '');
    return toResponse(
      bookingWanted(getDb(), { clientId: asked.get('client') ?? '', personId: asked.get('person') ?? '', services }),
    );
  },
});

import { nowMs } from '@/server/clock';
import { getDb } from '@/server/db/client';
import { fileResponse, toResponse } from '@/server/http/answers';
import { route } from '@/server/http/route';
import { feedOf } from '@/server/services/calendars';

export const dynamic = 'force-dynamic';

/** The calendar behind a private address; whoever has the address may read it. */
export const { GET, POST, PUT, PATCH, DELETE } = route<{ token: string }>({
  GET: (_, { token }) => {
    const feed = feedOf(getDb(), token.replace(/\.ics$/, ''), nowMs());
    return feed.ok ? fileResponse(feed.value, 'text/calendar; charset=utf-8', 'visits.ics') : toResponse(feed);
  },
});

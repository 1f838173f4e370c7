import 'server-only';
import { headers } from 'next/headers';

/** The request of a page, for who asks and from which tablet; null where it is only fetched ahead. */
export async function pageRequest(): Promise<Request | null> {
  const all = await headers();
  if (all.get('next-router-prefetch') !== null || all.get('purpose') === 'prefetch') return null;
  return requestOf(all);
}

/** The same also where it is fetched ahead: for what must not be shown then either. */
export const anyPageRequest = async (): Promise<Request> => requestOf(await headers());

const requestOf = (all: Pick<Headers, 'get'>): Request =>
  new Request('http://studio/', { headers: { cookie: all.get('cookie') ?? '' } });

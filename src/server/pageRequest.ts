import 'server-only';
import { headers } from 'next/headers';

/** The request of a page, for who asks and from which tablet; null where it is only fetched ahead. */
export async function pageRequest(): Promise<Request | null> {
  const all = await headers();
  if (all.get('next-router-prefetch') !== null || all.get('purpose') === 'prefetch') return null;
  return new Request('http://studio/', { headers: { cookie: all.get('cookie') ?? '' } });
}

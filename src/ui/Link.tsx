import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A way to another page. Nothing is fetched ahead: every page is made for its request, so a list of clients would ask
 * for each of their cards, and most are never gone to.
 */
export function Link(props: Omit<ComponentProps<typeof NextLink>, 'prefetch'>) {
  return <NextLink {...props} prefetch={false} />;
}

'use client';

import { useEffect } from 'react';

interface Props {
  readonly error: Error;
  readonly reset: () => void;
}

const LOOK_MS = 2000;

/** A piece of the page did not come: the server went away while it was being loaded. */
const isHalfLoaded = (error: Error): boolean => error.name === 'ChunkLoadError';

/** What a failed page shows; what was saved stays saved. A page half loaded comes whole when the server is back. */
export default function ErrorPage({ error, reset }: Props) {
  const isHalf = isHalfLoaded(error);
  useEffect(() => {
    if (!isHalf) return undefined;
    const timer = setInterval(() => {
      fetch('/api/health', { cache: 'no-store' }).then(
        (r) => r.ok && window.location.reload(),
        () => undefined,
      );
    }, LOOK_MS);
    return () => clearInterval(timer);
  }, [isHalf]);
  return (
    <section style={{ padding: 40, display: 'grid', gap: 12, justifyItems: 'start' }} role="alert">
      <h1>{isHalf ? 'The server went away' : 'This page could not be shown'}</h1>
      <p>
        {isHalf
          ? 'What you did is kept. The page comes back by itself as soon as the server answers.'
          : 'What you saved is kept. Try again; if it happens again, start Strickle anew.'}
      </p>
      <button type="button" onClick={reset} style={{ minHeight: 44, padding: '0 16px' }}>
        Try again
      </button>
    </section>
  );
}

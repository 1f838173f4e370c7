'use client';

import { useRouter } from 'next/navigation';
import { useCallback } from 'react';

/** An answer takes a few milliseconds; one that takes longer is none. */
const LONGEST_MS = 3000;

const isThere = (): Promise<boolean> =>
  fetch('/api/health', { signal: AbortSignal.timeout(LONGEST_MS), cache: 'no-store' }).then(
    (r) => r.ok,
    () => false,
  );

/**
 * Goes to another page of the visit if the server is there to give it. While it is away the page that stands stays: it
 * holds what waits, and says so.
 */
export function useGo(): (path: string) => void {
  const router = useRouter();
  return useCallback((path) => void isThere().then((there) => there && router.push(path)), [router]);
}

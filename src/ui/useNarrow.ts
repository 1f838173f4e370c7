'use client';

import { useSyncExternalStore } from 'react';

const QUERY = '(max-width: 1020px)';
const watch = (tell: () => void): (() => void) => {
  const list = window.matchMedia(QUERY);
  list.addEventListener('change', tell);
  return () => list.removeEventListener('change', tell);
};

/** True on an upright tablet or a phone, where the slips stand over each other. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    watch,
    () => window.matchMedia(QUERY).matches,
    () => false,
  );

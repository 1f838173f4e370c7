'use client';

import { useSyncExternalStore } from 'react';

const never = (): (() => void) => () => undefined;

/** False on the server and in the first render of the browser, true after. */
export const useMounted = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

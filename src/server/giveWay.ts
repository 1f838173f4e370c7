// Long work on the thread that answers requests shares it: after every slice, requests are answered.

import 'server-only';

const SLICE_MS = 12;

/** To be awaited again and again in long work; waits only where a slice is over. */
export function sharedThread(): () => Promise<void> | undefined {
  let from = performance.now();
  return () => {
    if (performance.now() - from < SLICE_MS) return undefined;
    return new Promise((resolve) =>
      setImmediate(() => {
        from = performance.now();
        resolve();
      }),
    );
  };
}

// What this tablet keeps of the open visit and form, so that a page that is loaded anew while the server is away still
// works: the page by the worker (public/sw.js), its last state by the pages themselves.

import { dropKeptBenches } from '@/features/visit/sync/keptBench';

const worker = async (): Promise<ServiceWorker | null> => {
  // while we build, parts change under their names
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return null;
  await navigator.serviceWorker.register('/sw.js');
  return (await navigator.serviceWorker.ready).active;
};

const partsHere = (): readonly string[] =>
  performance
    .getEntriesByType('resource')
    .map((e) => e.name)
    .filter((name) => name.includes('/_next/static/'));

/** Asks the worker to keep the page at a path with the parts it was made of. A browser that has none goes without. */
export async function keepHere(path: string): Promise<void> {
  try {
    (await worker())?.postMessage({ kind: 'keep', path, parts: partsHere() });
  } catch {
    // without a certificate that is trusted there is no worker: the page that stands open works all the same
  }
}

/** Nothing of anybody stays: somebody signed out, or came to the door. */
export async function forgetKept(): Promise<void> {
  try {
    await dropKeptBenches();
    const known = 'serviceWorker' in navigator ? await navigator.serviceWorker.getRegistration() : undefined;
    known?.active?.postMessage({ kind: 'forget' });
  } catch {
    // what is forbidden to be kept was not kept
  }
}

'use client';

import { useEffect, useRef, useState } from 'react';

/** Answer of the present question, `null` while it is worked out, `'failed'` where the worker could not. */
export type Answer<A> = A | 'failed' | null;

/**
 * Asks a worker of one's own: `make` builds it (`new Worker(new URL('…', import.meta.url), …)` must stand at the caller
 * for the build). A new question ends the old one; questions are told apart by their text, since every answer of the
 * server brings new objects.
 */
export function useWorkerAnswer<Q, A>(make: () => Worker, question: Q | null): Answer<A> {
  const [answer, setAnswer] = useState<{ readonly asked: string; readonly value: A | 'failed' } | null>(null);
  // written anew at every render, always builds the same worker: only the question counts
  const makeLatest = useRef(make);
  const asked = question === null ? '' : JSON.stringify(question);
  useEffect(() => {
    if (asked === '') return undefined;
    const worker = makeLatest.current();
    worker.onmessage = ({ data }: MessageEvent<A>) => setAnswer({ asked, value: data });
    worker.onerror = () => setAnswer({ asked, value: 'failed' });
    worker.postMessage(JSON.parse(asked));
    return () => worker.terminate();
  }, [asked]);
  return answer && answer.asked === asked ? answer.value : null;
}

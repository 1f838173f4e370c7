'use client';

import { useEffect, useRef, useState } from 'react';

/**
 * One worker for as long as the component stands, asked again and again (`{id, question}` in, `{id, answer}` out).
 * Answers to older questions are dropped; the last answer stays until the next one comes, so that nothing flickers
 * while a hand edits.
 */
export function useLiveWorker<Q, A>(
  make: () => Worker,
  question: Q,
): { readonly answer: A | null; readonly isFresh: boolean; readonly failed: boolean } {
  const worker = useRef<Worker | null>(null);
  // written anew at every render, always builds the same worker: the first one counts
  const makeLatest = useRef(make);
  const asked = useRef(0);
  const [state, setState] = useState<{ readonly id: number; readonly answer: A | null; readonly failed: boolean }>({
    id: 0,
    answer: null,
    failed: false,
  });
  const [latest, setLatest] = useState(0);
  const text = JSON.stringify(question);
  useEffect(() => {
    const made = makeLatest.current();
    worker.current = made;
    made.onmessage = ({ data }: MessageEvent<{ readonly id: number; readonly answer: A | null }>) => {
      if (data.id === asked.current) setState({ id: data.id, answer: data.answer, failed: data.answer === null });
    };
    made.onerror = () => setState((s) => ({ ...s, failed: true }));
    return () => {
      worker.current = null;
      made.terminate();
    };
  }, []);
  useEffect(() => {
    asked.current++;
    setLatest(asked.current);
    worker.current?.postMessage({ id: asked.current, question: JSON.parse(text) as Q });
  }, [text]);
  return { answer: state.answer, isFresh: state.id === latest, failed: state.failed };
}

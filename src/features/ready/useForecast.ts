'use client';

import { useEffect, useState } from 'react';
import type { Family } from '@/core/anatomy';
import type { Forecasting, ReadyList } from '@/server/services/outlook';

export type Worked = 'worked' | Family;

export interface Forecast {
  readonly list: ReadyList;
  /** How far it has come, 0–1; null = it stands. */
  readonly progress: number | null;
  readonly fault: string;
}

/** Reads an answer that comes line by line. */
async function eachLine(response: Response, onLine: (step: Forecasting) => void): Promise<void> {
  const reader = response.body?.getReader();
  if (!reader) return;
  const decoder = new TextDecoder();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    rest += decoder.decode(value, { stream: !done });
    const lines = rest.split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) if (line !== '') onLine(JSON.parse(line) as Forecasting);
    if (done) return;
  }
}

/** The list as worked, or as it would be with another family: that one is worked out on the way. */
export function useForecast(first: ReadyList, worked: Worked): Forecast {
  const [forecast, setForecast] = useState<Forecast>({ list: first, progress: null, fault: '' });
  useEffect(() => {
    if (worked === 'worked') return;
    const asked = new AbortController();
    const run = async (): Promise<void> => {
      try {
        const response = await fetch(`/api/ready?with=${worked}`, { signal: asked.signal });
        if (!response.ok) throw new Error(String(response.status));
        await eachLine(response, (step) => {
          if ('lines' in step) setForecast({ list: step, progress: null, fault: '' });
          else setForecast((f) => ({ ...f, progress: step.done / Math.max(1, step.total) }));
        });
      } catch {
        if (asked.signal.aborted) return;
        setForecast((f) => ({
          ...f,
          progress: null,
          fault: 'The server does not answer; this is as they were worked.',
        }));
      }
    };
    void run();
    return () => {
      asked.abort();
      setForecast({ list: first, progress: null, fault: '' });
    };
  }, [worked, first]);
  return forecast;
}

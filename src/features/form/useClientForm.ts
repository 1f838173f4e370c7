'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { FormData } from '@/server/db/schema';
import type { ClientForm } from '@/server/services/clientForm';
import { sendJson, type Sent } from '@/ui/sendJson';
import { isKept } from '@/features/kept/isKept';
import { keepCopy, keepInBox, readBox, readCopy } from './formBox';

export type FormSync = 'saved' | 'saving' | 'waiting';
const RETRY_MS = 2500;

export interface ClientFormApi {
  readonly data: FormData;
  readonly sync: FormSync;
  readonly change: (data: FormData) => void;
  /** Saves what is open and sends a body made with the version that then stands. */
  readonly finish: <T>(url: string, body: (version: number) => object) => Promise<Sent<T>>;
  readonly forget: () => void;
}

/** The form's data with its way to the server: saved at every change, kept on the tablet while the server is away. */
export function useClientForm(form: ClientForm): ClientFormApi {
  const [data, setData] = useState(form.data);
  const [sync, setSync] = useState<FormSync>('saved');
  const version = useRef(form.version);
  const latest = useRef<FormData | null>(null);
  const running = useRef<Promise<void> | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);

  // one at a time; who asks while it runs waits for the same end
  const pump = useCallback((): Promise<void> => {
    const run = async (): Promise<void> => {
      while (latest.current) {
        const sending = latest.current;
        setSync((s) => (s === 'waiting' ? s : 'saving'));
        const sent = await sendJson<{ version: number }>('PUT', `/api/forms/${form.id}`, {
          version: version.current,
          data: sending,
        });
        if (sent.ok) version.current = sent.value.version;
        else if (sent.error.code === 'stale' && sent.error.newer) {
          // this tablet is the only pen: an answer that got lost on the way back is simply sent again on top
          version.current = (sent.error.newer as { version: number }).version;
          continue;
        } else {
          // away or refused: what was written stays on the tablet either way
          setSync('waiting');
          if (timer.current) clearTimeout(timer.current);
          if (sent.error.code === 'away' || sent.error.code === 'internal') {
            timer.current = setTimeout(() => void pump(), RETRY_MS);
          }
          return;
        }
        if (latest.current === sending) {
          latest.current = null;
          keepInBox(form.id, null);
        }
      }
      setSync('saved');
    };
    running.current ??= run().finally(() => {
      running.current = null;
    });
    return running.current;
  }, [form.id]);

  const change = useCallback(
    (next: FormData): void => {
      setData(next);
      latest.current = next;
      keepInBox(form.id, next);
      keepCopy(form.id, next);
      void pump();
    },
    [form.id, pump],
  );

  useEffect(() => {
    const kept = readBox(form.id) ?? (isKept() ? readCopy(form.id) : null);
    const left = form.state === 'filling' ? kept : null;
    // what the tablet kept is laid over the page once it stands: the server's page does not know of it
    if (left) queueMicrotask(() => change(left));
    const awake = (): void => void pump();
    window.addEventListener('online', awake);
    return () => {
      window.removeEventListener('online', awake);
      if (timer.current) clearTimeout(timer.current);
    };
  }, [change, form.id, form.state, pump]);

  const finish = useCallback(
    async <T>(url: string, body: (version: number) => object): Promise<Sent<T>> => {
      await pump();
      const sent = await sendJson<T>('POST', url, body(version.current));
      if (sent.ok) {
        latest.current = null;
        keepInBox(form.id, null);
        keepCopy(form.id, null);
      }
      return sent;
    },
    [form.id, pump],
  );
  const forget = useCallback((): void => {
    latest.current = null;
    keepInBox(form.id, null);
    keepCopy(form.id, null);
  }, [form.id]);
  return { data, sync, change, finish, forget };
}

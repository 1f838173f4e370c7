'use client';

import { useEffect, useState } from 'react';
import { onLive } from '@/features/live/liveEvents';
import type { Shelf } from '@/server/services/shelf';
import type { ShelfAct } from '@/server/services/shelfMoves';
import { getJson, notTaken, sendJson } from '@/ui/sendJson';

export interface ShelfActs {
  readonly shelf: Shelf;
  readonly said: { readonly text: string; readonly bad: boolean } | null;
  /** True where it was taken. @param done said then */
  readonly act: (act: ShelfAct, done: string) => Promise<boolean>;
}

/** The shelf as the server has it; what other tablets do comes in as it happens. */
export function useShelf(first: Shelf): ShelfActs {
  const [shelf, setShelf] = useState(first);
  const [said, setSaid] = useState<ShelfActs['said']>(null);
  useEffect(
    () =>
      onLive((event) => {
        if (event.kind !== 'shelf' && event.kind !== 'ended' && event.kind !== 'anew') return;
        void getJson<Shelf>('/api/shelf').then((sent) => {
          if (sent.ok) setShelf(sent.value);
        });
      }),
    [],
  );
  const act = async (does: ShelfAct, done: string): Promise<boolean> => {
    const sent = await sendJson<Shelf>('POST', '/api/shelf', does);
    if (sent.ok) setShelf(sent.value);
    setSaid(sent.ok ? { text: done, bad: false } : { text: notTaken(sent.error), bad: true });
    return sent.ok;
  };
  return { shelf, said, act };
}

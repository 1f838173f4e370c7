'use client';

import { useEffect, useState } from 'react';
import { onLive } from '@/features/live/liveEvents';
import type { BatchAct, Kitchen, NewBatch } from '@/server/services/kitchen';
import type { KitchenSettings } from '@/server/db/schema';
import { getJson, sendJson, type Sent } from '@/ui/sendJson';

export interface KitchenActs {
  readonly kitchen: Kitchen;
  readonly fault: string | null;
  /** True where it was taken. */
  readonly start: (batch: NewBatch) => Promise<boolean>;
  readonly act: (act: BatchAct) => Promise<boolean>;
  /** A word on a batch that is over. */
  readonly word: (id: string, words: string) => Promise<boolean>;
  readonly save: (settings: KitchenSettings) => Promise<boolean>;
}

/** The kitchen as the server has it; other pages' acts come in as they happen. */
export function useKitchen(first: Kitchen): KitchenActs {
  const [kitchen, setKitchen] = useState(first);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(
    () =>
      onLive((event) => {
        if (event.kind !== 'kitchen' && event.kind !== 'anew') return;
        void getJson<Kitchen>('/api/kitchen').then((sent) => {
          if (sent.ok) setKitchen(sent.value);
        });
      }),
    [],
  );
  const taken = (sent: Sent<Kitchen>): boolean => {
    if (sent.ok) setKitchen(sent.value);
    const words = sent.ok ? null : [sent.error.message, ...sent.error.details.map((d) => d.message)].join(' ');
    setFault(words === null ? null : `${words} It was not noted: what you typed still stands here.`);
    return sent.ok;
  };
  const post = async (path: string, body: object): Promise<boolean> =>
    taken(await sendJson('POST', path, body, crypto.randomUUID()));
  const { open, studioVersion } = kitchen;
  return {
    kitchen,
    fault,
    start: (batch) => post('/api/kitchen', batch),
    act: (act) => post(`/api/kitchen/${open?.id ?? ''}`, act),
    word: (id, words) => post(`/api/kitchen/${id}`, { words }),
    save: async (settings) =>
      taken(await sendJson('PUT', '/api/kitchen/settings', { version: studioVersion, kitchen: settings })),
  };
}

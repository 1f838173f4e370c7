'use client';

import { useState } from 'react';
import type { House, HouseAct, PinChange } from '@/server/services/house';
import { sendJson } from '@/ui/sendJson';

export interface HouseActs {
  readonly house: House;
  readonly said: { readonly text: string; readonly bad: boolean } | null;
  /** True where it was kept. @param done said then */
  readonly act: (act: HouseAct, done: string) => Promise<boolean>;
  readonly changePin: (change: PinChange, done: string) => Promise<boolean>;
}

export function useHouse(first: House): HouseActs {
  const [house, setHouse] = useState(first);
  const [said, setSaid] = useState<HouseActs['said']>(null);
  const heard = (sent: Awaited<ReturnType<typeof sendJson<House>>>, done: string): boolean => {
    if (sent.ok) setHouse(sent.value);
    const more =
      sent.ok || sent.error.code === 'refused'
        ? ''
        : sent.error.details.map((d) => `${d.path}: ${d.message}`).join('; ');
    setSaid(
      sent.ok
        ? { text: done, bad: false }
        : { text: `${sent.error.message} ${more} Nothing was changed: what you typed still stands here.`, bad: true },
    );
    return sent.ok;
  };
  const act = async (does: HouseAct, done: string): Promise<boolean> =>
    heard(await sendJson<House>('POST', '/api/studio', does, crypto.randomUUID()), done);
  // a PIN is never remembered, so this one has no id
  const changePin = async (change: PinChange, done: string): Promise<boolean> =>
    heard(await sendJson<House>('POST', '/api/studio/pin', change), done);
  return { house, said, act, changePin };
}

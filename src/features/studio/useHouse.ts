'use client';

import { useState } from 'react';
import type { House, HouseAct, PinChange } from '@/server/services/house';
import { notTaken, sendJson } from '@/ui/sendJson';

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
    setSaid(sent.ok ? { text: done, bad: false } : { text: notTaken(sent.error), bad: true });
    return sent.ok;
  };
  const act = async (does: HouseAct, done: string): Promise<boolean> =>
    heard(await sendJson<House>('POST', '/api/studio', does), done);
  // its route remembers nothing
  const changePin = async (change: PinChange, done: string): Promise<boolean> =>
    heard(await sendJson<House>('POST', '/api/studio/pin', change), done);
  return { house, said, act, changePin };
}

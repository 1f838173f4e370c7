'use client';

import { useEffect, useState } from 'react';
import { onLive } from '@/features/live/liveEvents';
import type { LedgerAct } from '@/server/services/ledgerActs';
import type { LedgerDay } from '@/server/services/ledgerDay';
import { getJson, notTaken, sendJson } from '@/ui/sendJson';

export interface LedgerActs {
  readonly day: LedgerDay;
  readonly said: { readonly text: string; readonly bad: boolean } | null;
  /** True where it was taken. @param done said then */
  readonly act: (act: LedgerAct, done: string) => Promise<boolean>;
}

/** A day of the ledger as the server has it; what other tablets enter comes in as it happens. */
export function useLedgerDay(first: LedgerDay): LedgerActs {
  const [day, setDay] = useState(first);
  const [said, setSaid] = useState<LedgerActs['said']>(null);
  const { date } = first;
  useEffect(
    () =>
      onLive((event) => {
        const isOurs =
          event.kind === 'ledger' || event.kind === 'shelf' || event.kind === 'ended' || event.kind === 'anew';
        if (!isOurs) return;
        void getJson<LedgerDay>(`/api/ledger?on=${date}`).then((sent) => {
          if (sent.ok) setDay(sent.value);
        });
      }),
    [date],
  );
  const act = async (does: LedgerAct, done: string): Promise<boolean> => {
    const sent = await sendJson<LedgerDay>('POST', '/api/ledger', { onDate: date, act: does });
    if (sent.ok) setDay(sent.value);
    setSaid(sent.ok ? { text: done, bad: false } : { text: notTaken(sent.error, 'Nothing was entered'), bad: true });
    return sent.ok;
  };
  return { day, said, act };
}

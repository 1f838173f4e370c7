'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { FirstAct } from '@/server/services/firstRun';
import { notTaken, sendJson } from '@/ui/sendJson';

export interface FirstActs {
  readonly busy: boolean;
  readonly fault: string;
  /** True where it was kept. */
  readonly act: (act: FirstAct) => Promise<boolean>;
}

/** Steps as they are taken: each is kept before the next one is shown. */
export function useFirstRun(): FirstActs {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState('');
  const act = async (does: FirstAct): Promise<boolean> => {
    setBusy(true);
    const sent = await sendJson<null>('POST', '/api/first', does);
    setBusy(false);
    setFault(sent.ok ? '' : notTaken(sent.error));
    if (sent.ok) router.refresh();
    return sent.ok;
  };
  return { busy, fault, act };
}

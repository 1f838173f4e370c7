'use client';

import { Button } from 'antd';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { sendJson } from '@/ui/sendJson';
import styles from './Return.module.css';

interface Props {
  readonly visitId: string;
  /** The next visit as it is chosen; null while none is. */
  readonly next: { readonly startsAtMs: number; readonly minutes: number } | null;
}

/** The care card on paper, or its words into the simulated post box. */
export function GiveCare({ visitId, next }: Props) {
  const [said, setSaid] = useState<'' | 'posted' | { readonly fault: string }>('');
  const chosen = next === null ? '' : `?next=${next.startsAtMs}&minutes=${next.minutes}`;
  const post = async (): Promise<void> => {
    const sent = await sendJson('POST', `/api/visits/${visitId}/care-card`, { next }, crypto.randomUUID());
    setSaid(sent.ok ? 'posted' : { fault: sent.error.message });
  };
  return (
    <div className={styles.give}>
      <Button href={`/api/visits/${visitId}/care-card${chosen}`}>Card, A5</Button>
      <Button onClick={() => void post()} disabled={said === 'posted'}>
        {said === 'posted' ? 'In the post box' : 'Post it'}
      </Button>
      {said === 'posted' ? (
        <p role="status">
          <Link href="/post">Simulated post box</Link>: nothing is sent.
        </p>
      ) : null}
      {typeof said === 'object' ? <p role="alert">{said.fault}</p> : null}
    </div>
  );
}

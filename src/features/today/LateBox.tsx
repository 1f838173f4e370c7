'use client';

import { Radio } from 'antd';
import { useState } from 'react';
import type { Late } from '@/server/services/late';
import { getJson } from '@/ui/sendJson';
import styles from './Week.module.css';

const MINUTES = [5, 10, 15, 20, 30, 45] as const;

/** The client comes late: what still fits, what to drop, who is told. */
export function LateBox({ bookingId }: { readonly bookingId: string }) {
  const [minutes, setMinutes] = useState<number | null>(null);
  const [answer, setAnswer] = useState<Late | null>(null);
  const [fault, setFault] = useState('');
  const ask = async (late: number): Promise<void> => {
    setMinutes(late);
    const sent = await getJson<Late>(`/api/bookings/${bookingId}/late?minutes=${late}`);
    setAnswer(sent.ok ? sent.value : null);
    setFault(sent.ok ? '' : sent.error.message);
  };
  return (
    <details className={styles.late}>
      <summary>Coming late</summary>
      <Radio.Group
        value={minutes}
        onChange={(e) => void ask(e.target.value as number)}
        optionType="button"
        aria-label="Minutes late"
        options={MINUTES.map((m) => ({ value: m, label: String(m) }))}
      />
      <div role="status">
        {answer?.says.map((line, i) => (
          <p key={line} data-over={i === 0 && !answer.fits}>
            {line}
          </p>
        ))}
      </div>
      {fault === '' ? null : <p role="alert">{fault}</p>}
    </details>
  );
}

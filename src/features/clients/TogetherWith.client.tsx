'use client';

import { Button, Popconfirm } from 'antd';
import { Link } from '@/ui/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Together } from '@/server/services/merge';
import { sendJson } from '@/ui/sendJson';
import { useMay } from '@/ui/Who.client';
import styles from './Clients.module.css';

/** Which cards this one was put together with, and the way back. */
export function TogetherWith({ clientId, all }: { readonly clientId: string; readonly all: readonly Together[] }) {
  const router = useRouter();
  const mayPart = useMay('tables');
  const [said, setSaid] = useState('');
  const part = async (mergeId: string): Promise<void> => {
    const sent = await sendJson<{ readonly changedSince: boolean }>('POST', `/api/clients/${clientId}/part`, {
      mergeId,
    });
    if (!sent.ok) return setSaid(sent.error.message);
    setSaid(
      sent.value.changedSince
        ? 'Parted. This card was changed since: what stands on it stays; look it through.'
        : 'Parted: both cards are as they were.',
    );
    router.refresh();
  };
  if (all.length === 0 && said === '') return null;
  return (
    <div className={styles.together}>
      {said === '' ? null : <p role="status">{said}</p>}
      {all.map((t) => (
        <p key={t.id}>
          {t.isKept ? 'Holds all of the card of ' : 'All of this stands on the card of '}
          <Link href={`/clients/${t.otherId}`}>{t.name}</Link>, put together on {t.on}
          {t.by === '' ? '' : ` by ${t.by}`}.
          {t.canPart && mayPart ? (
            <Popconfirm
              title="Part the two cards again?"
              description="What came over goes back; what was done since stays here."
              okText="Part them"
              cancelText="Leave it"
              onConfirm={() => void part(t.id)}
            >
              <Button type="link">Part them again</Button>
            </Popconfirm>
          ) : null}
        </p>
      ))}
    </div>
  );
}

'use client';

import { Button, Popconfirm } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ClientCard } from '@/server/services/clients';
import { sendJson } from '@/ui/sendJson';
import { EditCard } from './EditCard.client';
import { EndConsent } from './EndConsent.client';
import { EraseCard } from './EraseCard.client';
import { MergeCard } from './MergeCard.client';
import { useMay } from '@/ui/Who.client';
import { Fault } from '@/ui/Fault';
import styles from './Clients.module.css';

/** Change the card, put it away, hand the record out. */
export function CardTools({ card }: { readonly card: ClientCard }) {
  const router = useRouter();
  const [editing, setEditing] = useState(false);
  const [erasing, setErasing] = useState(false);
  const [merging, setMerging] = useState(false);
  const [ending, setEnding] = useState(false);
  const mayErase = useMay('tables');
  const [fault, setFault] = useState<string | null>(null);
  const { client } = card;
  const away = client.archivedAtMs !== null;
  const archive = async (): Promise<void> => {
    const sent = await sendJson('PUT', `/api/clients/${client.id}/archive`, {
      version: client.version,
      archived: !away,
    });
    setFault(sent.ok ? null : sent.error.message);
    if (sent.ok) router.refresh();
  };
  return (
    <div className={styles.tools}>
      <Button onClick={() => setEditing(true)}>Change the card</Button>
      <Button href={`/api/clients/${client.id}/record?as=pdf`}>Record as PDF</Button>
      <Button href={`/api/clients/${client.id}/record`}>Record as JSON</Button>
      {away ? (
        <Button onClick={() => void archive()}>Take out again</Button>
      ) : (
        <Popconfirm
          title="Put this card away?"
          description="Nothing is lost; it is found among the archived cards."
          okText="Archive"
          cancelText="Keep it"
          onConfirm={() => void archive()}
        >
          <Button>Archive</Button>
        </Popconfirm>
      )}
      {client.profile.consentOn === null ? null : (
        <Button type="text" onClick={() => setEnding(true)}>
          Consent taken back …
        </Button>
      )}
      {mayErase && !away ? (
        <Button type="text" onClick={() => setMerging(true)}>
          Another card of this person …
        </Button>
      ) : null}
      {mayErase ? (
        <Button danger type="text" onClick={() => setErasing(true)}>
          Erase …
        </Button>
      ) : null}
      <Fault text={fault} />
      {ending ? <EndConsent client={client} onClose={() => setEnding(false)} /> : null}
      {merging ? <MergeCard client={client} onClose={() => setMerging(false)} /> : null}
      {erasing ? <EraseCard client={client} onClose={() => setErasing(false)} /> : null}
      {editing ? <EditCard card={card} onClose={() => setEditing(false)} /> : null}
    </div>
  );
}

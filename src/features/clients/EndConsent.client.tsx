'use client';

import { Button, Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { notTaken, sendJson } from '@/ui/sendJson';
import styles from './Clients.module.css';

interface Props {
  readonly client: { readonly id: string; readonly name: string };
  readonly onClose: () => void;
}

/** Writes down that a client takes their consent back. */
export function EndConsent({ client, onClose }: Props) {
  const router = useRouter();
  const [words, setWords] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const end = async (): Promise<void> => {
    const sent = await sendJson('POST', `/api/clients/${client.id}/consent`, { words: words.trim() });
    if (!sent.ok) return setFault(notTaken(sent.error));
    onClose();
    router.refresh();
  };
  return (
    <Modal
      open
      title={`${client.name} takes the consent back`}
      onCancel={onClose}
      footer={[
        <Button key="no" onClick={onClose}>
          It stands
        </Button>,
        <Button key="yes" type="primary" disabled={words.trim().length < 3} onClick={() => void end()}>
          Write it down
        </Button>,
      ]}
    >
      <div className={styles.erase}>
        <p>
          From now on nothing signed before counts. Visits that are open ask for consent again before anything is done.
          What was signed stays in the record as it was; to have the person forgotten, erase the card.
        </p>
        <Input
          aria-label="How it was said"
          placeholder="how it was said, as: by phone this morning"
          maxLength={300}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
        {fault === null ? null : <p role="alert">{fault}</p>}
      </div>
    </Modal>
  );
}

'use client';

import { Button, Checkbox, Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { DateField } from '@/ui/DateField.client';
import { getJson, notTaken, sendJson } from '@/ui/sendJson';
import { dayMonthYear, plural } from '@/ui/words';
import type { EraseLook } from '@/server/services/erase';
import styles from './Clients.module.css';

interface Props {
  readonly client: { readonly id: string; readonly name: string };
  readonly onClose: () => void;
}

/** Erases a person on request: what goes, what stays and until when, and the name typed as proof of the right card. */
export function EraseCard({ client, onClose }: Props) {
  const router = useRouter();
  const [look, setLook] = useState<EraseLook | null>(null);
  const [name, setName] = useState('');
  const [keeps, setKeeps] = useState(false);
  const [until, setUntil] = useState('');
  const [why, setWhy] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    void getJson<EraseLook>(`/api/clients/${client.id}/erase`).then((sent) => {
      if (sent.ok) setLook(sent.value);
      else setFault(sent.error.message);
    });
  }, [client.id]);
  const isReady = look !== null && name.trim() === client.name && (!keeps || (until !== '' && why.trim().length > 3));
  const erase = async (): Promise<void> => {
    const consents = keeps ? { until, why: why.trim() } : null;
    const sent = await sendJson('POST', `/api/clients/${client.id}/erase`, { name: name.trim(), consents });
    if (!sent.ok) return setFault(notTaken(sent.error));
    onClose();
    router.refresh();
  };
  return (
    <Modal
      open
      title={`Erase ${client.name}`}
      onCancel={onClose}
      footer={[
        <Button key="keep" onClick={onClose}>
          Keep the card
        </Button>,
        <Button key="erase" type="primary" danger disabled={!isReady} onClick={() => void erase()}>
          Erase for good
        </Button>,
      ]}
    >
      <div className={styles.erase}>
        {look === null ? <p className="quiet">Looking what there is …</p> : <Words look={look} />}
        {look !== null && look.consents > 0 ? (
          <Checkbox checked={keeps} onChange={(e) => setKeeps(e.target.checked)}>
            The law of this place makes us keep {plural(look.consents, 'signed consent')}
          </Checkbox>
        ) : null}
        {keeps ? (
          <>
            <DateField aria-label="Kept until" placeholder="kept until" value={until} onChange={setUntil} />
            <Input
              aria-label="Which law"
              placeholder="which law, as: claims lapse after three years"
              maxLength={200}
              value={why}
              onChange={(e) => setWhy(e.target.value)}
            />
          </>
        ) : null}
        <p>This cannot be taken back. To go on, type the name as it stands on the card.</p>
        <Input
          aria-label="The name on the card"
          placeholder={client.name}
          maxLength={80}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        {fault === null ? null : <p role="alert">{fault}</p>}
      </div>
    </Modal>
  );
}

const Words = ({ look }: { readonly look: EraseLook }) => (
  <>
    <p>
      Card, notes, {plural(look.visits, 'visit')} with charts and readings, forms, messages and the history of the card
      go. {look.cancelled > 0 ? `${plural(look.cancelled, 'booking')} ahead will be given up. ` : ''}
    </p>
    <p className="quiet">
      {look.moneyLines > 0
        ? `${plural(look.moneyLines, 'line')} of the ledger stay without the name until ${dayMonthYear(look.moneyUntil)}. `
        : ''}
      Backups made before hold the card until they are dropped in their turn. Hand the record out first where the client
      wants a copy.
    </p>
  </>
);

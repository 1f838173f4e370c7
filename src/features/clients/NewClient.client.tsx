'use client';

import { Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sendJson } from '@/ui/sendJson';
import styles from './Clients.module.css';

const EMPTY_PROFILE = {
  v: 2,
  statureCm: null,
  massKg: null,
  sensitivity: 3,
  skin: 'normal',
  ingrownProne: false,
  standing: [],
  reactions: [],
  patchTests: [],
  consentOn: null,
  guardianConsentOn: null,
  blackout: [],
};

export function NewClient({ onClose }: { readonly onClose: () => void }) {
  const router = useRouter();
  const [fields, setFields] = useState({ name: '', byline: '', bornOn: '', phone: '', note: '' });
  const [fault, setFault] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const set =
    (key: keyof typeof fields) =>
    (e: { target: { value: string } }): void =>
      setFields({ ...fields, [key]: e.target.value });
  const save = async (): Promise<void> => {
    if (fields.name.trim() === '') return setFault('A name is needed; what you have typed is kept.');
    setSaving(true);
    const made = await sendJson<{ id: string }>('POST', '/api/clients', {
      ...fields,
      bornOn: fields.bornOn === '' ? null : fields.bornOn,
      profile: EMPTY_PROFILE,
    });
    setSaving(false);
    if (made.ok) router.push(`/clients/${made.value.id}`);
    else {
      setFault(
        `${made.error.message} ${made.error.details.map((d) => d.message).join(' ')} What you have typed is kept.`,
      );
    }
  };
  return (
    <Modal
      open
      title="New client"
      okText="Save the card"
      onOk={() => void save()}
      onCancel={onClose}
      confirmLoading={saving}
      destroyOnHidden
    >
      <div className={styles.form}>
        <label>
          Name
          <Input autoFocus value={fields.name} onChange={set('name')} maxLength={120} />
        </label>
        <label>
          Known by, e.g. what they do
          <Input value={fields.byline} onChange={set('byline')} maxLength={200} />
        </label>
        <label>
          Born on
          <Input type="date" value={fields.bornOn} onChange={set('bornOn')} />
        </label>
        <label>
          Phone
          <Input value={fields.phone} onChange={set('phone')} maxLength={60} />
        </label>
        <label>
          Note
          <Input.TextArea value={fields.note} onChange={set('note')} maxLength={4000} rows={3} />
        </label>
        {fault ? (
          <p role="alert" className={styles.fault}>
            {fault}
          </p>
        ) : null}
      </div>
    </Modal>
  );
}

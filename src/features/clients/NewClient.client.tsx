'use client';

import { Form, Input, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sendJson } from '@/ui/sendJson';
import { DateField } from '@/ui/DateField.client';
import { Fault } from '@/ui/Fault';
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

const EMPTY_FIELDS = { name: '', byline: '', bornOn: '', phone: '', note: '' };

export function NewClient({ onClose }: { readonly onClose: () => void }) {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const [saving, setSaving] = useState(false);
  const save = async (fields: typeof EMPTY_FIELDS): Promise<void> => {
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
      okButtonProps={{ htmlType: 'submit', form: 'new-client' }}
      onCancel={onClose}
      confirmLoading={saving}
      destroyOnHidden
    >
      <Form<typeof EMPTY_FIELDS>
        id="new-client"
        layout="vertical"
        className={styles.form ?? ''}
        initialValues={EMPTY_FIELDS}
        requiredMark={false}
        scrollToFirstError={{ focus: true }}
        onFinish={(fields) => void save(fields)}
      >
        <Form.Item
          name="name"
          label="Name"
          rules={[{ required: true, whitespace: true, message: 'A name is needed; what you have typed is kept.' }]}
        >
          <Input autoFocus maxLength={120} />
        </Form.Item>
        <Form.Item name="byline" label="Known by, e.g. what they do">
          <Input maxLength={200} />
        </Form.Item>
        <Form.Item name="bornOn" label="Born on">
          <DateField />
        </Form.Item>
        <Form.Item name="phone" label="Phone">
          <Input maxLength={60} />
        </Form.Item>
        <Form.Item name="note" label="Note">
          <Input.TextArea maxLength={4000} rows={3} />
        </Form.Item>
        <Fault text={fault} />
      </Form>
    </Modal>
  );
}

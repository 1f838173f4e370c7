'use client';

import { Button, Input, Modal, Select } from 'antd';
import { useState } from 'react';
import { sendJson } from '@/ui/sendJson';
import { useBench, useSync } from '../BenchContext.client';
import { Fault } from '@/ui/Fault';
import styles from './Consult.module.css';

/** Locks this tablet to the client's form. Whoever has no PIN yet chooses one: it is the way back. */
export function HandOver({ onClose }: { readonly onClose: () => void }) {
  const { bench } = useBench();
  const { sync } = useSync();
  const [personId, setPersonId] = useState(bench.visit.personId);
  const [pins, setPins] = useState(['', '']);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const hasPin = bench.people.find((p) => p.id === personId)?.hasPin ?? false;
  const go = async (): Promise<void> => {
    const [pin = '', again = ''] = pins;
    if (!hasPin && !/^\d{4,8}$/.test(pin)) return setFault('Four to eight digits, please.');
    if (!hasPin && pin !== again) return setFault('The two are not the same.');
    setBusy(true);
    const sent = await sendJson<{ formId: string }>('POST', `/api/visits/${bench.visit.id}/form`, {
      personId,
      ...(hasPin ? {} : { newPin: pin }),
    });
    setBusy(false);
    // a full load, not a step within the page: nothing of the bench stays in the tablet's memory
    if (sent.ok) window.location.replace(`/form/${sent.value.formId}`);
    else setFault(`${sent.error.message} The tablet is still yours.`);
  };
  return (
    <Modal
      open
      title="Hand the tablet over"
      onCancel={onClose}
      destroyOnHidden
      footer={[
        <Button key="no" onClick={onClose}>
          Keep it
        </Button>,
        <Button key="yes" type="primary" loading={busy} disabled={sync !== 'saved'} onClick={() => void go()}>
          Lock and hand over
        </Button>,
      ]}
    >
      <div className={styles.putOff}>
        <p>{bench.client.name} sees the form and nothing else. You take the tablet back with your PIN.</p>
        <label>
          Your name
          <Select
            aria-label="Your name"
            value={personId}
            options={bench.people.map((p) => ({ value: p.id, label: p.name }))}
            onChange={setPersonId}
          />
        </label>
        {hasPin ? (
          <p className="quiet">Your PIN is set.</p>
        ) : (
          <>
            <p>You have no PIN yet. Choose one.</p>
            <label>
              New PIN
              <Input.Password
                inputMode="numeric"
                autoComplete="off"
                maxLength={8}
                value={pins[0]}
                onChange={(e) => setPins([e.target.value, pins[1] ?? ''])}
              />
            </label>
            <label>
              Once more
              <Input.Password
                inputMode="numeric"
                autoComplete="off"
                maxLength={8}
                value={pins[1]}
                onChange={(e) => setPins([pins[0] ?? '', e.target.value])}
              />
            </label>
          </>
        )}
        <Fault text={fault} />
      </div>
    </Modal>
  );
}

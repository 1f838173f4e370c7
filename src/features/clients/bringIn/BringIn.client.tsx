'use client';

import { Modal, Segmented } from 'antd';
import { useState } from 'react';
import styles from '../Clients.module.css';
import { FromPast } from './FromPast.client';
import { FromTable } from './FromTable.client';

type From = 'table' | 'visits' | 'vcard';

const FROM: readonly { readonly value: From; readonly label: string }[] = [
  { value: 'table', label: 'Clients' },
  { value: 'visits', label: 'Past visits' },
  { value: 'vcard', label: 'Address book' },
];

/** What was kept elsewhere, in: clients, their visits of before, an address book. */
export function BringIn({ onClose }: { readonly onClose: () => void }) {
  const [from, setFrom] = useState<From>('table');
  return (
    <Modal
      open
      width={1000}
      style={{ top: 24 }}
      title="Bring in what was kept elsewhere"
      onCancel={onClose}
      destroyOnHidden
      footer={null}
    >
      <div className={styles.form}>
        <div className={styles.wide}>
          <Segmented aria-label="What to bring in" options={[...FROM]} value={from} onChange={setFrom} />
        </div>
        {from === 'visits' ? <FromPast onClose={onClose} /> : <FromTable key={from} kind={from} onClose={onClose} />}
      </div>
    </Modal>
  );
}

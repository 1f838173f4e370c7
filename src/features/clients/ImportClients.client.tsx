'use client';

import { Button, Modal } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ImportPreview } from '@/server/services/clientsCsv';
import { sendJson } from '@/ui/sendJson';
import { plural } from '@/ui/words';
import styles from './Clients.module.css';

const SHOWN = 200;

/** Clients in from a table: looked at first, every bad line with its reason; then all of them or none. */
export function ImportClients({ onClose }: { readonly onClose: () => void }) {
  const router = useRouter();
  const [csv, setCsv] = useState('');
  const [preview, setPreview] = useState<ImportPreview | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const look = async (text: string, commit: boolean): Promise<void> => {
    setBusy(true);
    const sent = await sendJson<ImportPreview>('POST', '/api/clients/import', { csv: text, commit });
    setBusy(false);
    setFault(sent.ok ? null : sent.error.message);
    if (sent.ok) setPreview(sent.value);
    if (sent.ok && commit) {
      router.refresh();
      onClose();
    }
  };
  const read = (file: File | undefined): void => {
    if (file) {
      void file.text().then((text) => {
        setCsv(text);
        return look(text, false);
      });
    }
  };
  const bad = preview?.lines.filter((l) => l.faults.length > 0) ?? [];
  const ready = preview !== null && preview.faults.length === 0 && preview.bad === 0 && preview.good > 0;
  return (
    <Modal
      open
      width={720}
      title="Clients from a table"
      onCancel={onClose}
      destroyOnHidden
      footer={[
        <Button key="no" onClick={onClose}>
          Leave it
        </Button>,
        <Button key="yes" type="primary" disabled={!ready} loading={busy} onClick={() => void look(csv, true)}>
          {ready ? `Take in ${plural(preview.good, 'client')}` : 'Take them in'}
        </Button>,
      ]}
    >
      <div className={styles.form}>
        <p>
          A CSV file; the first line names the columns, <strong>name</strong> is needed:{' '}
          <code>
            name, known_by, born_on, phone, note, sensitivity, skin, ingrown_prone, stature_cm, mass_kg, consent_on
          </code>
        </p>
        <label>
          File
          <input type="file" accept=".csv,text/csv,text/plain" onChange={(e) => read(e.target.files?.[0])} />
        </label>
        {fault ? (
          <p role="alert" className={styles.fault}>
            {fault}
          </p>
        ) : null}
        {preview?.faults.map((f) => (
          <p key={f} role="alert" className={styles.fault}>
            {f} None was imported.
          </p>
        ))}
        {preview && preview.faults.length === 0 ? (
          <p role="status">
            {plural(preview.good, 'line')} good, {preview.bad} bad.
            {preview.bad > 0 ? ' Mend the file and choose it again: all lines are taken in, or none.' : ''}
          </p>
        ) : null}
        {bad.length > 0 ? (
          <ul className={styles.bad} aria-label="Bad lines">
            {bad.slice(0, SHOWN).map((l) => (
              <li key={l.line}>
                <strong>
                  Line {l.line}
                  {l.name ? `, ${l.name}` : ''}
                </strong>{' '}
                {l.faults.join(' ')}
              </li>
            ))}
          </ul>
        ) : null}
      </div>
    </Modal>
  );
}

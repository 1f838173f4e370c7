'use client';

import { Alert, Button, Modal, Progress } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ImportPreview, ImportProgress } from '@/server/services/clientsCsv';
import { getJson, sendJson } from '@/ui/sendJson';
import { plural } from '@/ui/words';
import styles from './Clients.module.css';

const ASK_EVERY_MS = 250;
/** Without a card taken in for so many asks nothing is moving: half a minute. */
const MOST_IDLE = 120;

/** Asks how far it is until all is taken in; null where the server does not answer any more, or nothing moves. */
async function followed(begun: ImportProgress, say: (p: ImportProgress) => void): Promise<ImportProgress | null> {
  let at = begun;
  for (let idle = 0; at.taken < at.total && idle < MOST_IDLE; idle++) {
    say(at);
    await new Promise((r) => setTimeout(r, ASK_EVERY_MS));
    const asked = await getJson<ImportProgress>(`/api/clients/import/${begun.id}`);
    if (!asked.ok) return null;
    if (asked.value.taken > at.taken) idle = 0;
    at = asked.value;
  }
  return at.taken < at.total ? null : at;
}

/** Clients in from a table: looked at first, every bad line with its reason; then all of them or none. */
export function ImportClients({ onClose }: { readonly onClose: () => void }) {
  const router = useRouter();
  const [csv, setCsv] = useState('');
  const [preview, setPreview] = useState<ImportPreview | null>(null);
  const [progress, setProgress] = useState<ImportProgress | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const look = async (text: string): Promise<void> => {
    setBusy(true);
    const sent = await sendJson<ImportPreview>('POST', '/api/clients/import/look', { csv: text });
    setBusy(false);
    setFault(sent.ok ? null : sent.error.message);
    setPreview(sent.ok ? sent.value : null);
  };
  const takeIn = async (): Promise<void> => {
    setBusy(true);
    const begun = await sendJson<ImportProgress>('POST', '/api/clients/import', { csv });
    const done = begun.ok ? await followed(begun.value, setProgress) : null;
    setBusy(false);
    setProgress(null);
    if (begun.ok && done) {
      router.refresh();
      onClose();
      return;
    }
    setFault(
      begun.ok
        ? 'The server does not go on just now. The table is written down there: it is taken in to the end.'
        : begun.error.message,
    );
  };
  const read = (file: File | undefined): void => {
    if (!file) return;
    void file.text().then((text) => {
      setCsv(text);
      return look(text);
    });
  };
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
        <Button key="yes" type="primary" disabled={!ready} loading={busy} onClick={() => void takeIn()}>
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
        {fault ? <Alert type="error" role="alert" title={fault} /> : null}
        {preview?.faults.map((f) => (
          <Alert key={f} type="error" role="alert" title={`${f} None was imported.`} />
        ))}
        {preview && preview.faults.length === 0 ? (
          <p role="status">
            {plural(preview.good, 'line')} good, {preview.bad} bad.
            {preview.bad > 0 ? ' Mend the file and choose it again: all lines are taken in, or none.' : ''}
          </p>
        ) : null}
        {progress ? (
          <Progress
            percent={Math.floor((100 * progress.taken) / progress.total)}
            format={() => `${progress.taken} of ${progress.total}`}
          />
        ) : null}
        <BadLines preview={preview} />
      </div>
    </Modal>
  );
}

function BadLines({ preview }: { readonly preview: ImportPreview | null }) {
  if (!preview || preview.lines.length === 0) return null;
  const more = preview.bad - preview.lines.length;
  return (
    <ul className={styles.bad} aria-label="Bad lines">
      {preview.lines.map((l) => (
        <li key={l.line}>
          <strong>
            Line {l.line}
            {l.name ? `, ${l.name}` : ''}
          </strong>{' '}
          {l.faults.join(' ')}
        </li>
      ))}
      {more > 0 ? <li>and {plural(more, 'line')} more.</li> : null}
    </ul>
  );
}

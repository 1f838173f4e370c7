'use client';

import { Alert, Button } from 'antd';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import type { ClientGuess, ClientMapping } from '@/formats/clientTable';
import type { FromVcards } from '@/formats/vcard';
import type { ImportPreview, Matched } from '@/server/services/clientsCsv';
import type { ImportProgress } from '@/server/services/tableIn';
import { sendJson } from '@/ui/sendJson';
import { plural } from '@/ui/words';
import styles from '../Clients.module.css';
import { begunWith, ClientColumns, isWhole, type OpenClients } from './ClientColumns';
import { followed } from './follow';
import { BadLines, OnItsWay } from './Parts';

const WRITTEN_DOWN = 'The server does not go on just now. The table is written down there: it is taken in to the end.';

/** A table whose headings are not ours, as its columns are matched so far. */
interface Foreign {
  readonly text: string;
  readonly table: ClientGuess;
  readonly mapping: OpenClients;
}

interface Props {
  /** A table, or an address book, which comes to one. */
  readonly kind: 'table' | 'vcard';
  readonly onClose: () => void;
}

/** Clients in from a table: looked at first, every bad line with its reason; then all of them or none. */
export function FromTable({ kind, onClose }: Props) {
  const router = useRouter();
  const [csv, setCsv] = useState('');
  const [preview, setPreview] = useState<ImportPreview | null>(null);
  const [nameless, setNameless] = useState(0);
  const [foreign, setForeign] = useState<Foreign | null>(null);
  const [progress, setProgress] = useState<ImportProgress | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const asked = useRef(0);
  const look = async (text: string): Promise<void> => {
    setCsv(text);
    const sent = await sendJson<ImportPreview>('POST', '/api/clients/import/look', { csv: text });
    setFault(sent.ok ? null : sent.error.message);
    setPreview(sent.ok ? sent.value : null);
  };
  const ofOurs = async (text: string, mapping?: ClientMapping): Promise<Matched | null> => {
    const sent = await sendJson<Matched>('POST', '/api/clients/import/columns', { csv: text, mapping });
    if (!sent.ok) setFault(sent.error.message);
    return sent.ok ? sent.value : null;
  };
  const lookAtTable = async (text: string): Promise<void> => {
    setForeign(null);
    setPreview(null);
    setFault(null);
    const matched = await ofOurs(text);
    if (!matched) return;
    if (matched.isOurs) return look(text);
    await mapped({ text, table: matched, mapping: begunWith(matched) });
  };
  /** A table of another programme, brought into our columns as they are matched now. */
  const mapped = async (as: Foreign): Promise<void> => {
    setForeign(as);
    setPreview(null);
    if (!isWhole(as.mapping)) return;
    const mine = ++asked.current;
    const matched = await ofOurs(as.text, as.mapping);
    // of many changes the last one counts
    if (matched?.csv && mine === asked.current) await look(matched.csv);
  };
  const lookAtCards = async (text: string): Promise<void> => {
    const sent = await sendJson<FromVcards>('POST', '/api/clients/import/vcard', { csv: text });
    if (!sent.ok) return setFault(sent.error.message);
    setNameless(sent.value.nameless);
    await look(sent.value.csv);
  };
  const read = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setBusy(true);
    const text = await file.text();
    await (kind === 'vcard' ? lookAtCards(text) : lookAtTable(text));
    setBusy(false);
  };
  const takeIn = async (): Promise<void> => {
    setBusy(true);
    const begun = await sendJson<ImportProgress>('POST', '/api/clients/import', { csv });
    const done = begun.ok ? await followed(begun.value, setProgress) : null;
    setBusy(false);
    setProgress(null);
    if (done?.state === 'left') return setFault('Given up: nothing of it was kept.');
    if (begun.ok && done) {
      router.refresh();
      return onClose();
    }
    setFault(begun.ok ? WRITTEN_DOWN : begun.error.message);
  };
  const giveUp = (): void => {
    if (progress) void sendJson('DELETE', `/api/clients/import/${progress.id}`, {});
  };
  const ready = preview !== null && preview.faults.length === 0 && preview.bad === 0 && preview.good > 0;
  return (
    <div className={styles.form}>
      {kind === 'table' ? (
        <Columns />
      ) : (
        <p>An address book (.vcf): names, telephones and birthdays come in, notes not.</p>
      )}
      <label className={styles.inlineLabel}>
        File
        <input
          type="file"
          accept={kind === 'vcard' ? '.vcf,text/vcard' : '.csv,text/csv,text/plain'}
          onChange={(e) => void read(e.target.files?.[0])}
        />
      </label>
      {foreign && !progress ? (
        <ClientColumns {...foreign} onChange={(mapping) => void mapped({ ...foreign, mapping })} />
      ) : null}
      {fault ? <Alert type="error" role="alert" title={fault} /> : null}
      {preview?.faults.map((f) => (
        <Alert key={f} type="error" role="alert" title={`${f} None was imported.`} />
      ))}
      {preview && preview.faults.length === 0 ? (
        <p role="status">
          {plural(preview.good, 'line')} good, {preview.bad} bad.
          {nameless > 0 ? ` ${plural(nameless, 'card')} without a name left out.` : ''}
          {preview.bad > 0 ? ' Mend the file and choose it again: all lines are taken in, or none.' : ''}
        </p>
      ) : null}
      {progress ? <OnItsWay at={progress} onGiveUp={giveUp} /> : null}
      <BadLines preview={preview} />
      <div className={styles.ends}>
        <Button onClick={onClose}>{progress ? 'Go on without looking' : 'Leave it'}</Button>
        <Button type="primary" disabled={!ready} loading={busy} onClick={() => void takeIn()}>
          {ready ? `Take in ${plural(preview.good, 'client')}` : 'Take them in'}
        </Button>
      </div>
    </div>
  );
}

const Columns = () => (
  <p>
    A CSV file of any programme: its columns are matched to those of the card. With our own columns it comes in as it
    is:{' '}
    <code>name, known_by, born_on, phone, note, sensitivity, skin, ingrown_prone, stature_cm, mass_kg, consent_on</code>
  </p>
);

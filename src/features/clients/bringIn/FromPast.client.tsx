'use client';

import { Alert, Button } from 'antd';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { PastGuess, PastMapping } from '@/formats/pastCsv';
import type { PastLook } from '@/server/services/pastVisits';
import type { ImportProgress } from '@/server/services/tableIn';
import { sendFile } from '@/ui/sendFile';
import { sendJson } from '@/ui/sendJson';
import { plural } from '@/ui/words';
import styles from '../Clients.module.css';
import { followed } from './follow';
import { MappingPart } from './MappingPart';
import { BadLines, OnItsWay } from './Parts';
import { Understood } from './Understood';

type Open = Omit<PastMapping, 'dates'> & { readonly dates: PastMapping['dates'] | null };

/** What is sure enough to be looked at; the dates only where one reading fits. */
const begunWith = ({ columns, dates, lengths, times }: PastGuess): Open => {
  const [only = null, ...others] = dates;
  return { columns, lengths, times, dates: others.length === 0 ? only : null };
};

const isWhole = (m: Open | null): m is PastMapping =>
  m !== null && m.dates !== null && m.columns.client !== undefined && m.columns.on !== undefined;

const UNREAD = 'The file is too large, or the server does not answer. Nothing was imported.';

/** Past visits in from anybody's table: columns matched, dates and units looked at, then all of them or none. */
export function FromPast({ onClose }: { readonly onClose: () => void }) {
  const router = useRouter();
  const [table, setTable] = useState<(PastGuess & { readonly id: string }) | null>(null);
  const [mapping, setMapping] = useState<Open | null>(null);
  const [look, setLook] = useState<PastLook | null>(null);
  const [progress, setProgress] = useState<ImportProgress | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const read = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setBusy(true);
    setLook(null);
    const sent = await sendFile<PastGuess & { readonly id: string }>('/api/clients/import/visits', file);
    setBusy(false);
    if (sent.ok) setFault(null);
    else setFault(sent.error.code === 'away' ? UNREAD : sent.error.message);
    setTable(sent.ok ? sent.value : null);
    setMapping(sent.ok ? begunWith(sent.value) : null);
  };
  const id = table?.id;
  // every change of the columns is looked at anew
  useEffect(() => {
    if (id === undefined || !isWhole(mapping)) return;
    let isOver = false;
    void sendJson<PastLook>('PUT', `/api/clients/import/visits/${id}`, mapping).then((sent) => {
      if (isOver) return;
      setLook(sent.ok ? sent.value : null);
      setFault(sent.ok ? null : sent.error.message);
    });
    return () => {
      isOver = true;
    };
  }, [id, mapping]);

  const takeIn = async (): Promise<void> => {
    if (id === undefined || !isWhole(mapping)) return;
    setBusy(true);
    const begun = await sendJson<ImportProgress>('POST', `/api/clients/import/visits/${id}`, mapping);
    const done = begun.ok ? await followed(begun.value, setProgress) : null;
    setBusy(false);
    setProgress(null);
    if (done?.state === 'left') {
      setTable(null);
      setLook(null);
      return setFault('Given up: nothing of it was kept.');
    }
    if (begun.ok && done) {
      router.refresh();
      return onClose();
    }
    setFault(
      begun.ok ? 'The server does not go on just now: what is begun is taken in to the end.' : begun.error.message,
    );
  };
  const giveUp = (): void => {
    if (id !== undefined) void sendJson('DELETE', `/api/clients/import/${id}`, {});
  };
  const leave = (): void => {
    if (!progress) giveUp();
    onClose();
  };
  const ready = look !== null && isWhole(mapping) && look.bad === 0 && look.good > 0;
  return (
    <div className={styles.form}>
      <p>
        A CSV file of any programme, a line a visit. It stands on the card as it was told; when a zone was last worked
        is reckoned with from then on.
      </p>
      <label className={styles.inlineLabel}>
        File
        <input type="file" accept=".csv,text/csv,text/plain" onChange={(e) => void read(e.target.files?.[0])} />
      </label>
      {fault ? <Alert type="error" role="alert" title={fault} /> : null}
      {table && mapping && !progress ? <MappingPart table={table} mapping={mapping} onChange={setMapping} /> : null}
      {look && isWhole(mapping) && !progress ? (
        <>
          <p role="status">
            {plural(look.good, 'visit')} good, {look.bad} bad. {plural(look.newCards, 'card')} would be made new.
            {look.bad > 0 ? ' All lines are taken in, or none.' : ''}
          </p>
          <BadLines preview={look} />
          <Understood look={look} />
        </>
      ) : null}
      {progress ? <OnItsWay at={progress} onGiveUp={giveUp} /> : null}
      <div className={styles.ends}>
        <Button onClick={leave}>{progress ? 'Go on without looking' : 'Leave it'}</Button>
        <Button type="primary" disabled={!ready} loading={busy} onClick={() => void takeIn()}>
          {ready ? `Take in ${plural(look.good, 'visit')}` : 'Take them in'}
        </Button>
      </div>
    </div>
  );
}

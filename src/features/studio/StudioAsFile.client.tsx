'use client';

import { Alert, Button } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { BroughtIn } from '@/server/services/archiveBeside';
import { sendFile } from '@/ui/sendFile';
import { plural } from '@/ui/words';
import styles from './Studio.module.css';

interface Props {
  readonly isEmpty: boolean;
  readonly onSaid: (said: { readonly text: string; readonly bad: boolean } | null) => void;
}

/** The whole studio out as one file, and such a file in where there is nobody yet. */
export function StudioAsFile({ isEmpty, onSaid }: Props) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const bringIn = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setBusy(true);
    onSaid(null);
    const sent = await sendFile<BroughtIn>('/api/studio/archive', file);
    setBusy(false);
    if (!sent.ok) return onSaid({ text: sent.error.message, bad: true });
    const { studio, clients, visits } = sent.value;
    onSaid({ text: `${studio} is here: ${plural(clients, 'client')}, ${plural(visits, 'visit')}.`, bad: false });
    router.refresh();
  };
  return (
    <section aria-label="The studio as a file" className={styles.text}>
      <h2>The whole studio as one file</h2>
      <p className="quiet">
        A zip of everything: cards, charts, visits, plans, money, the trail, and tables that other programmes read. It
        is not locked: keep it where you keep keys. PINs and passphrases are not in it.
      </p>
      <div className={styles.weekday}>
        <Button href="/api/studio/archive">Take it out</Button>
      </div>
      {isEmpty ? (
        <label className={styles.file}>
          Bring one in
          <input type="file" accept=".zip" disabled={busy} onChange={(e) => void bringIn(e.target.files?.[0])} />
        </label>
      ) : (
        <p className="quiet">One can be brought into a studio that is still empty: this one has clients.</p>
      )}
      {busy ? <Alert type="info" role="status" title="It is read and looked through: this can take minutes." /> : null}
    </section>
  );
}

'use client';

import { useState } from 'react';
import { homeCareFor, homeCareShort, type HomeCareId } from '@/core/care';
import type { HomeCareAct } from '@/server/services/homeCare';
import { Fault } from '@/ui/Fault';
import { sendJson } from '@/ui/sendJson';
import { useBench } from '../BenchContext.client';
import styles from './Return.module.css';

/** What the client is asked to do at home, tapped as it is said; it goes onto the card and is asked about next time. */
export function HomeCareAdvice() {
  const { bench, reload } = useBench();
  const [fault, setFault] = useState<string | null>(null);
  const { client, homeCare, visit, plan } = bench;
  const { advised, since } = homeCare;
  const isClosed = visit.status === 'closed';
  const items = homeCareFor({
    zones: plan.zones.filter((z) => z.choice).map((z) => z.zone),
    ingrownProne: client.ingrownProne,
    skin: client.skin,
    notKept: since?.items.filter((i) => i.kept === 'not' || i.kept === 'partly').map((i) => i.item) ?? [],
  });
  const say = async (id: HomeCareId): Promise<void> => {
    const next = advised.includes(id) ? advised.filter((a) => a !== id) : [...advised, id];
    const act: HomeCareAct = { advised: next };
    const sent = await sendJson('PUT', `/api/visits/${visit.id}/home-care`, act, crypto.randomUUID());
    setFault(sent.ok ? null : `${sent.error.message} It was not noted.`);
    if (sent.ok) await reload();
  };
  return (
    <div className={styles.home} role="group" aria-label="Advised for home">
      <h3>Advised for home</h3>
      <div>
        {items.map(({ id, why }) => (
          <button
            key={id}
            type="button"
            disabled={isClosed}
            aria-pressed={advised.includes(id)}
            onClick={() => void say(id)}
          >
            {homeCareShort(id)}
            {why === '' ? null : <small>{why}</small>}
          </button>
        ))}
      </div>
      <Fault text={fault} />
    </div>
  );
}

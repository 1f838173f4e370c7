'use client';

import { useState } from 'react';
import { homeCareShort, KEPT, type Kept } from '@/core/care';
import type { Bench } from '@/server/services/bench';
import type { HomeCareAct, KeptItem } from '@/server/services/homeCare';
import { Fault } from '@/ui/Fault';
import { sendJson } from '@/ui/sendJson';
import { dayMonth } from '@/ui/words';
import { useBench } from './BenchContext.client';
import styles from './Bench.module.css';

const WORDS: Readonly<Record<Kept, string>> = { kept: 'kept', partly: 'partly', not: 'not' };

/** What was advised last time, asked about now; a second press takes an answer back. */
export function HomeCareAsked({ since }: { readonly since: NonNullable<Bench['homeCare']['since']> }) {
  const { bench, reload } = useBench();
  const [fault, setFault] = useState<string | null>(null);
  const isClosed = bench.visit.status === 'closed';
  const answer = async ({ item, kept }: KeptItem): Promise<void> => {
    const act: HomeCareAct = { answer: { item, kept } };
    const sent = await sendJson('PUT', `/api/visits/${bench.visit.id}/home-care`, act, crypto.randomUUID());
    setFault(sent.ok ? null : `${sent.error.message} The answer was not kept.`);
    if (sent.ok) await reload();
  };
  return (
    <section className={styles.home} aria-label="Home care since last time">
      <h3>At home since {dayMonth(since.on)}?</h3>
      {since.items.map(({ item, kept }) => (
        <div key={item}>
          <span>{homeCareShort(item)}</span>
          <div role="group" aria-label={homeCareShort(item)}>
            {KEPT.map((k) => (
              <button
                key={k}
                type="button"
                disabled={isClosed}
                aria-pressed={kept === k}
                onClick={() => void answer({ item, kept: kept === k ? null : k })}
              >
                {WORDS[k]}
              </button>
            ))}
          </div>
        </div>
      ))}
      <Fault text={fault} />
    </section>
  );
}

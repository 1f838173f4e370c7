'use client';

import { sized } from '@/formats/size';
import { deg } from '@/formats/heat';
import { Button, Input } from 'antd';
import { useState } from 'react';
import type { Kitchen } from '@/server/services/kitchen';
import { dayMonth, plural } from '@/ui/words';
import type { KitchenActs } from './useKitchen';
import styles from './Kitchen.module.css';

type Batch = Kitchen['batches'][number];

interface Props {
  readonly acts: KitchenActs;
  /** Null while one is on the stove. */
  readonly onAgain: ((batch: Batch) => void) | null;
}

/** Batches before this one: what they were taken off at, how they worked; one is tapped to be cooked again. */
export function BatchLog({ acts, onAgain }: Props) {
  const { batches, today } = acts.kitchen;
  return (
    <aside className={styles.log} aria-label="Batches">
      <h2>Batches</h2>
      <p className="quiet">
        {batches.length === 0
          ? 'None yet. Each is kept with its heat and how it worked, so that a good one can be cooked again.'
          : 'Tap one to cook it again'}
      </p>
      <ul>
        {batches.map((b) => (
          <li key={b.id}>
            <button type="button" disabled={onAgain === null} onClick={() => onAgain?.(b)}>
              <b>
                {b.lot}, {dayMonth(b.on)}
              </b>
              <b>{b.offC === null ? '' : deg(b.offC)}</b>
              <span>{batchWords(b, today)}</span>
            </button>
            <Word batch={b} acts={acts} />
          </li>
        ))}
      </ul>
    </aside>
  );
}

function batchWords(b: Batch, today: string): string {
  if (b.state === 'thrown') return ['thrown away', b.words === 'thrown away' ? '' : b.words].filter(Boolean).join(': ');
  const over = b.keepsTo !== null && b.keepsTo < today;
  const keeps = b.keepsTo === null ? '' : `${over ? 'past' : 'keeps to'} ${dayMonth(b.keepsTo)}`;
  const met = b.met === 0 ? '' : `met by ${plural(b.met, 'client')}`;
  return [b.firmness, b.jarG === null ? '' : sized(b.jarG, 'g'), keeps, met, b.by].filter(Boolean).join(', ');
}

/** How it worked, and on whom: a word that can be added later. */
function Word({ batch, acts }: { readonly batch: Batch; readonly acts: KitchenActs }) {
  const [text, setText] = useState<string | null>(null);
  if (batch.state === 'thrown') return null;
  if (text === null) {
    return (
      <p className={styles.word}>
        {batch.words === '' ? null : <span>{batch.words} </span>}
        <Button type="text" size="small" aria-label={`A word on ${batch.lot}`} onClick={() => setText(batch.words)}>
          {batch.words === '' ? 'How did it work?' : 'Change'}
        </Button>
      </p>
    );
  }
  return (
    <div className={styles.wordField}>
      <Input
        aria-label={`How ${batch.lot} worked`}
        maxLength={400}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <Button onClick={() => void acts.word(batch.id, text).then((is) => (is ? setText(null) : undefined))}>
        Keep
      </Button>
    </div>
  );
}

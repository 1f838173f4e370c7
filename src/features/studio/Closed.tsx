'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import type { ClosedDays } from '@/core/calendar';
import { DateField } from '@/ui/DateField.client';
import styles from './Studio.module.css';

/** Days on which nobody works, with the reason. */
export function Closed({
  closed,
  onChange,
}: {
  readonly closed: readonly ClosedDays[];
  readonly onChange: (closed: readonly ClosedDays[]) => void;
}) {
  const [draft, setDraft] = useState<ClosedDays>({ from: '', to: '', why: '' });
  const last = draft.to === '' ? draft.from : draft.to;
  return (
    <>
      <h2>Closed days</h2>
      {closed.length === 0 ? <p className="quiet">None.</p> : null}
      <ul>
        {closed.map((c, i) => (
          <li key={`${c.from}${i}`} className={styles.weekday}>
            <span>
              {c.from}
              {c.to === c.from ? '' : ` to ${c.to}`} {c.why}
            </span>
            <Button type="text" onClick={() => onChange(closed.filter((_, k) => k !== i))}>
              Take away
            </Button>
          </li>
        ))}
      </ul>
      <div className={styles.weekday}>
        <DateField
          aria-label="Closed from"
          value={draft.from}
          onChange={(from) => setDraft({ ...draft, from })}
          placeholder="from"
        />
        <DateField
          aria-label="Closed to"
          value={draft.to}
          onChange={(to) => setDraft({ ...draft, to })}
          placeholder="to"
        />
        <Input
          aria-label="Why closed"
          placeholder="why"
          maxLength={60}
          value={draft.why}
          onChange={(e) => setDraft({ ...draft, why: e.target.value })}
        />
        <Button
          disabled={draft.from === ''}
          onClick={() => {
            onChange([...closed, { ...draft, to: last }]);
            setDraft({ from: '', to: '', why: '' });
          }}
        >
          Add
        </Button>
      </div>
    </>
  );
}

'use client';

import { Input } from 'antd';
import { useState } from 'react';
import { TRIED, type Tried } from '@/core/reading';
import { Choice } from './Choice.client';
import type { ZoneReading } from './useZoneReading';
import styles from './Read.module.css';

const TRIED_NAMES: Readonly<Record<Tried, string>> = {
  'cold-pack': 'cold pack',
  breathing: 'breathing out',
  'no-coffee': 'no coffee before',
  'cycle-days': 'other days of the cycle',
};
const PAIN = Array.from({ length: 11 }, (_, i) => [String(i), String(i)] as const);

/** What the client says of it: pain, heat, what was tried; and the remark for next time. */
export function HowItFelt({ read, disabled }: { readonly read: ZoneReading; readonly disabled: boolean }) {
  const { reading, said, say, save } = read;
  const [note, setNote] = useState(reading.note);
  const tried = reading.tried ?? [];
  return (
    <section className={styles.felt} aria-label="How it felt">
      <h2>How it felt</h2>
      <Choice
        name="Pain, as the client says: 0 none, 10 the worst"
        value={reading.pain === undefined ? null : String(reading.pain)}
        disabled={disabled}
        options={PAIN}
        onChange={(pain) => save({ pain: Number(pain) })}
      />
      <Choice
        name="The heat felt"
        value={said('heatFelt') ? reading.heatFelt : null}
        disabled={disabled}
        options={[
          ['too-cool', 'too cool'],
          ['right', 'right'],
          ['too-warm', 'too warm'],
        ]}
        onChange={(heatFelt) => say('heatFelt', { heatFelt })}
      />
      <div className={styles.choice} role="group" aria-label="What was tried against it">
        <h3>What was tried against it</h3>
        <div>
          {TRIED.map((t) => (
            <button
              key={t}
              type="button"
              aria-pressed={tried.includes(t)}
              disabled={disabled}
              onClick={() => save({ tried: tried.includes(t) ? tried.filter((o) => o !== t) : [...tried, t] })}
            >
              {TRIED_NAMES[t]}
            </button>
          ))}
        </div>
      </div>
      <label className={styles.note}>
        Note for next time
        <Input.TextArea
          value={note}
          rows={2}
          maxLength={2000}
          disabled={disabled}
          onChange={(e) => setNote(e.target.value)}
          onBlur={() => note !== reading.note && save({ note })}
        />
      </label>
    </section>
  );
}

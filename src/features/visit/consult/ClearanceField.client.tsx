'use client';

import { Button, Input } from 'antd';
import { useState } from 'react';
import type { Clearance } from '@/core/screening';
import { DateField } from '@/ui/DateField.client';
import { dayMonthYear } from '@/ui/words';
import styles from './Consult.module.css';

/** A name shorter than this names nobody; as in the format. */
const SHORTEST_NAME = 2;

interface Props {
  /** What it is that was cleared, in words. */
  readonly what: string;
  readonly clearance: Clearance | undefined;
  readonly on: string;
  readonly disabled: boolean;
  readonly onChange: (clearance: Clearance | null) => void;
}

/** The doctor's word: who gave it and when. Kept only once both are there. */
export function ClearanceField({ what, clearance, on, disabled, onChange }: Props) {
  const [by, setBy] = useState('');
  // no date is preset: when the doctor said it is an answer, not a default
  const [since, setSince] = useState('');
  if (clearance) {
    return (
      <span className={styles.when}>
        cleared by <strong>{clearance.by}</strong> on {dayMonthYear(clearance.on)}
        <button type="button" className={styles.quick} disabled={disabled} onClick={() => onChange(null)}>
          Take it back
        </button>
      </span>
    );
  }
  const keep = (): void => onChange({ by: by.trim(), on: since });
  const isWhole = by.trim().length >= SHORTEST_NAME && since !== '' && since <= on;
  return (
    <span className={styles.when}>
      <Input
        className={styles.doctor ?? ''}
        aria-label={`${what}: cleared by`}
        placeholder="Doctor who has cleared it"
        maxLength={120}
        value={by}
        disabled={disabled}
        onChange={(e) => setBy(e.target.value)}
        onPressEnter={() => isWhole && keep()}
      />
      on
      <DateField
        aria-label={`${what}: cleared on`}
        max={on}
        value={since}
        disabled={disabled}
        onChange={(date) => setSince(date)}
      />
      <Button disabled={disabled || !isWhole} onClick={keep}>
        Note the clearance
      </Button>
    </span>
  );
}

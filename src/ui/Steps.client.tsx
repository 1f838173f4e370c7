'use client';

import { useId } from 'react';
import styles from './Steps.module.css';

interface Props {
  readonly labelledBy: string;
  readonly value: number;
  /** One word a step, from step 1. */
  readonly words: readonly string[];
  readonly disabled?: boolean;
  readonly onChange: (step: number) => void;
  /** Drawn instead of the number. */
  readonly draw?: (step: number) => React.ReactNode;
}

/** A choice of one of a few steps, as large buttons; arrow keys move among them. */
export function Steps({ labelledBy, value, words, disabled, onChange, draw }: Props) {
  const name = useId();
  return (
    <div className={styles.steps} role="radiogroup" aria-labelledby={labelledBy}>
      {words.map((word, i) => (
        <label key={word + String(i)} className={styles.step}>
          <input
            type="radio"
            name={name}
            className={styles.choice}
            checked={Math.round(value) === i + 1}
            disabled={disabled}
            onChange={() => onChange(i + 1)}
            aria-label={`${i + 1}: ${word}`}
          />
          {draw ? draw(i + 1) : <b>{i + 1}</b>}
          <span>{word}</span>
        </label>
      ))}
    </div>
  );
}

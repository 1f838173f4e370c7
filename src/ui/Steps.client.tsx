'use client';

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

/** A choice of one of a few steps, as large buttons. */
export function Steps({ labelledBy, value, words, disabled, onChange, draw }: Props) {
  return (
    <div className={styles.steps} role="radiogroup" aria-labelledby={labelledBy}>
      {words.map((word, i) => (
        <button
          key={word + String(i)}
          type="button"
          role="radio"
          aria-checked={Math.round(value) === i + 1}
          disabled={disabled}
          className={styles.step}
          onClick={() => onChange(i + 1)}
          aria-label={`${i + 1}: ${word}`}
        >
          {draw ? draw(i + 1) : <b>{i + 1}</b>}
          <span>{word}</span>
        </button>
      ))}
    </div>
  );
}

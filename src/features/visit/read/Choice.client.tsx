'use client';

import { useId } from 'react';
import { radioKeys } from '@/ui/radioKeys';
import styles from './Read.module.css';

interface Props<T extends string> {
  readonly name: string;
  /** Null where nothing was said yet. */
  readonly value: T | null;
  readonly options: readonly (readonly [T, string])[];
  readonly disabled: boolean;
  readonly onChange: (value: T) => void;
}

/** One of a few, as large buttons with words. */
export function Choice<T extends string>({ name, value, options, disabled, onChange }: Props<T>) {
  const id = useId();
  return (
    <div className={styles.choice}>
      <h3 id={id}>{name}</h3>
      <div role="radiogroup" aria-labelledby={id} tabIndex={-1} onKeyDown={radioKeys}>
        {options.map(([key, word]) => (
          <button
            key={key}
            type="button"
            role="radio"
            aria-checked={value === key}
            disabled={disabled}
            onClick={() => onChange(key)}
          >
            {word}
          </button>
        ))}
      </div>
    </div>
  );
}

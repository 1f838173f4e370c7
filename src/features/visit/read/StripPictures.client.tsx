'use client';

import { STRIP_PICTURES, type StripPicture as Picture } from '@/core/reading';
import { radioKeys } from '@/ui/radioKeys';
import { PICTURE_WORDS } from './pictureWords';
import { StripPicture } from './StripPicture';
import styles from './Read.module.css';

interface Props {
  readonly value: Picture | null;
  readonly label: string;
  readonly disabled: boolean;
  readonly onChange: (like: Picture) => void;
}

/** The drawn strips to choose from; nothing is preset. */
export function StripPictures({ value, label, disabled, onChange }: Props) {
  return (
    <div className={styles.pictures} role="radiogroup" aria-label={label} tabIndex={-1} onKeyDown={radioKeys}>
      {STRIP_PICTURES.map((kind, i) => (
        <button
          key={kind}
          type="button"
          role="radio"
          aria-checked={value === kind}
          tabIndex={value === kind || (value === null && i === 0) ? 0 : -1}
          disabled={disabled}
          onClick={() => onChange(kind)}
        >
          <StripPicture kind={kind} />
          <strong>{PICTURE_WORDS[kind].name}</strong>
          <small>{PICTURE_WORDS[kind].says}</small>
        </button>
      ))}
    </div>
  );
}

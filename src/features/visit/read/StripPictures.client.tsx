'use client';

import { STRIP_PICTURES, type StripPicture as Picture } from '@/core/reading';
import { PICTURE_WORDS } from './pictureWords';
import { StripPicture } from './StripPicture';
import styles from './Read.module.css';

interface Props {
  readonly value: Picture | null;
  readonly label: string;
  readonly disabled: boolean;
  readonly onChange: (like: Picture) => void;
}

/**
 * The drawn strips to choose from; nothing is preset. Buttons and no radio group: an answer goes on to the next strip,
 * so an arrow key must not give one.
 */
export function StripPictures({ value, label, disabled, onChange }: Props) {
  return (
    <div className={styles.pictures} role="group" aria-label={label}>
      {STRIP_PICTURES.map((kind) => (
        <button
          key={kind}
          type="button"
          aria-pressed={value === kind}
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

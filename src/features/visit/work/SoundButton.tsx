import styles from './Work.module.css';

interface Props {
  readonly on: boolean;
  readonly onToggle: () => void;
}

/** Sound and voice at the table, on or off. */
export function SoundButton({ on, onToggle }: Props) {
  return (
    <button
      type="button"
      className={styles.bare}
      aria-pressed={on}
      aria-label="Sound and voice"
      title="Sound and voice ( V )"
      onClick={onToggle}
    >
      <svg viewBox="0 0 24 24" width="26" height="26" aria-hidden="true" fill="none" stroke="currentColor">
        <path
          d="M3 9.5H7L12 5V19L7 14.5H3Z"
          strokeWidth="1.8"
          strokeLinejoin="round"
          fill={on ? 'currentColor' : 'none'}
        />
        {on ? (
          <path
            d="M15.5 9C17 10.8 17 13.2 15.5 15M18.5 6.5C21.3 9.8 21.3 14.2 18.5 17.5"
            strokeWidth="1.8"
            strokeLinecap="round"
          />
        ) : (
          <path d="M16 9.5L21 14.5M21 9.5L16 14.5" strokeWidth="1.8" strokeLinecap="round" />
        )}
      </svg>
    </button>
  );
}

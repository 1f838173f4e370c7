import styles from './Incident.module.css';

interface Props<T extends string> {
  readonly name: string;
  readonly all: readonly T[];
  readonly words: Readonly<Record<T, string>>;
  readonly value: readonly T[];
  readonly onChange: (value: readonly T[]) => void;
}

/** Any of a few, as large buttons. */
export function Toggles<T extends string>({ name, all, words, value, onChange }: Props<T>) {
  return (
    <div className={styles.toggles} role="group" aria-label={name}>
      <h2>{name}</h2>
      <div>
        {all.map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={value.includes(one)}
            onClick={() => onChange(value.includes(one) ? value.filter((o) => o !== one) : [...value, one])}
          >
            {words[one]}
          </button>
        ))}
      </div>
    </div>
  );
}

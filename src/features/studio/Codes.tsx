import { Button } from 'antd';
import styles from './Studio.module.css';

interface Props {
  readonly codes: readonly string[];
  readonly done: string;
  readonly onDone: () => void;
}

/** Recovery codes, shown once: to be printed or written down. */
export function Codes({ codes, done, onDone }: Props) {
  return (
    <section aria-label="Recovery codes" className={styles.text}>
      <h2>Recovery codes</h2>
      <p>
        Each opens the studio once where the passphrase is lost. They are shown now and never again: print them, keep
        them apart from the tablets.
      </p>
      <ul className={styles.codes}>
        {codes.map((c) => (
          <li key={c}>
            <code>{c}</code>
          </li>
        ))}
      </ul>
      <div className={styles.choices}>
        <Button onClick={() => window.print()}>Print</Button>
        <Button type="primary" onClick={onDone}>
          {done}
        </Button>
      </div>
    </section>
  );
}

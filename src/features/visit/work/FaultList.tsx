import { FAULTS } from '@/core/reading';
import styles from './Work.module.css';

interface Props {
  readonly family: 'hard' | 'soft' | 'sugar';
  readonly strip: number | null;
  readonly onClose: () => void;
}

/** What is seen, why, and what to do now, for the strip in hand. */
export function FaultList({ family, strip, onClose }: Props) {
  return (
    <div className={styles.faults} role="dialog" aria-label="Problems and remedies">
      <div className={styles.faultHead}>
        <h2>What do you see{strip === null ? '' : ` on strip ${strip}`}?</h2>
        <button type="button" className={styles.plain} onClick={onClose} autoFocus>
          Close
        </button>
      </div>
      <ul>
        {FAULTS.filter((f) => f.families.includes(family)).map((f) => (
          <li key={f.seen} data-stop={f.stop ?? false}>
            <strong>{f.seen}</strong>
            <span>{f.remedy}</span>
            <small>Likely: {f.causes}.</small>
          </li>
        ))}
      </ul>
    </div>
  );
}

import { rankedFaults, type FaultAsked } from '@/core/reading';
import styles from './Work.module.css';

interface Props {
  readonly asked: FaultAsked;
  readonly strip: number | null;
  readonly onStop: () => void;
  readonly onClose: () => void;
}

/** What is seen, why, and what to do now, for the strip in hand; what stops the work stands first, with its key. */
export function FaultList({ asked, strip, onStop, onClose }: Props) {
  return (
    <div className={styles.faults} role="dialog" aria-label="Problems and remedies">
      <div className={styles.faultHead}>
        <h2>What do you see{strip === null ? '' : ` on strip ${strip}`}?</h2>
        <button type="button" className={styles.plain} onClick={onClose} autoFocus>
          Close
        </button>
      </div>
      <ul>
        {rankedFaults(asked).map((f) => (
          <li key={f.seen} data-stop={f.stop ?? false}>
            <strong>{f.seen}</strong>
            <span>{f.remedy}</span>
            {f.stop ? (
              <button type="button" className={styles.stopHere} onClick={onStop}>
                Stop, first aid <kbd>0</kbd>
              </button>
            ) : (
              <small>Likely: {f.causes}.</small>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

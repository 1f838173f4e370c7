// The steps of a work at the foot of the screen, each with its result; the one in hand marked, others gone to where
// they may be.

import styles from './FootSteps.module.css';

export interface FootStep {
  readonly id: string;
  readonly name: string;
  /** What it gave, or will give. */
  readonly result: string;
  /** Absent where steps are only shown. */
  readonly go?: (() => void) | undefined;
  readonly isClosed?: boolean | undefined;
}

interface Props {
  readonly label: string;
  readonly steps: readonly FootStep[];
  readonly here: string;
}

export const FootSteps = ({ label, steps, here }: Props) => (
  <ol className={styles.steps} aria-label={label}>
    {steps.map(({ id, name, result, go, isClosed }, k) => {
      const current = id === here ? 'step' : undefined;
      const words = (
        <>
          <b>{name}</b>
          <span>{result}</span>
        </>
      );
      return go ? (
        <li key={id}>
          <button aria-current={current} aria-keyshortcuts={String(k + 1)} disabled={isClosed} onClick={go}>
            {words}
            <kbd aria-hidden>{k + 1}</kbd>
          </button>
        </li>
      ) : (
        <li key={id} aria-current={current}>
          <div>{words}</div>
        </li>
      );
    })}
  </ol>
);

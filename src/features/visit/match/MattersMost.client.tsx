'use client';

import { hasBegun } from '@/core/hands';
import { MATTERS, type Matters } from '@/core/matching';
import { useBench } from '../BenchContext.client';
import styles from './Match.module.css';

const WORDS: Readonly<Record<Matters, string>> = {
  cleanest: 'Cleanest',
  quickest: 'Quickest',
  gentlest: 'Gentlest',
  cheapest: 'Cheapest',
};

/** What matters most to this client today: that part counts three times. Taken back by a second tap. */
export function MattersMost() {
  const { bench, saveConsult } = useBench();
  const { consult, status } = bench.visit;
  // once wax is on the skin the plan stands
  const stands = status === 'closed' || hasBegun(bench.journal);
  const set = (matters: Matters): void => {
    const { matters: now, ...rest } = consult;
    saveConsult(now === matters ? rest : { ...rest, matters });
  };
  return (
    <div className={styles.matters} role="group" aria-label="What matters most today">
      <span>Matters most today:</span>
      {MATTERS.map((m) => (
        <button key={m} type="button" aria-pressed={consult.matters === m} disabled={stands} onClick={() => set(m)}>
          {WORDS[m]}
        </button>
      ))}
    </div>
  );
}

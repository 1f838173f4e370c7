// The learner's pull and the planner's from the side, with what each breaks.

import type { Act, Looked } from '@/core/practice';
import styles from './Practice.module.css';

const [WIDTH, SKIN_Y, TAB_X, LONG] = [240, 62, 206, 150] as const;

/** Where a pull off the tab leads; steep ones end at the top of the drawing. */
function endOf(liftDeg: number): readonly [number, number] {
  const a = (Math.min(85, liftDeg) * Math.PI) / 180;
  const far = Math.min(LONG, (SKIN_Y - 8) / Math.max(0.01, Math.sin(a)));
  return [TAB_X - far * Math.cos(a), SKIN_Y - 4 - far * Math.sin(a)];
}

const broke = (n: number): string => (n === 0 ? 'none breaks' : `${n} break`);

export function SidePulls({ looked, own }: { readonly looked: Looked; readonly own: Act | undefined }) {
  const { planner } = looked;
  if (!own || !planner) return null;
  const mine = endOf(own.pull.liftDeg);
  const theirs = endOf(planner.act.pull.liftDeg);
  return (
    <figure className={styles.sidePulls}>
      <svg viewBox={`0 0 ${WIDTH} 72`} aria-hidden>
        <path d={`M4 ${SKIN_Y}H${WIDTH - 4}`} data-skin />
        <path d={`M${TAB_X} ${SKIN_Y - 4}L${theirs.join(' ')}`} data-pull="planned" />
        <path d={`M${TAB_X} ${SKIN_Y - 4}L${mine.join(' ')}`} data-pull="own" />
        <circle cx={TAB_X} cy={SKIN_Y - 4} r={4} />
      </svg>
      <figcaption>
        <span data-pull="own">
          {Math.round(own.pull.liftDeg)}°: {broke(looked.answer.broken)}
        </span>
        <span data-pull="planned">
          planner {planner.act.pull.liftDeg}°: {broke(planner.answer.broken)}
        </span>
      </figcaption>
    </figure>
  );
}

// Eight weeks of one skill as small slabs: height = share right, nothing where nothing was done.

import type { Week } from '@/core/practice';
import styles from './Learners.module.css';

const [WIDE, HIGH, GAP] = [16, 34, 6] as const;

export const weeksInWords = (weeks: readonly Week[]): string => {
  const done = weeks.flatMap(({ share, count }, k) =>
    share === null ? [] : [`${agoWords(weeks.length - 1 - k)} ${Math.round(100 * share)} % of ${count}`],
  );
  return done.length === 0 ? 'nothing yet' : done.join(', ');
};

export function agoWords(weeks: number): string {
  if (weeks === 0) return 'this week';
  return weeks === 1 ? 'last week' : `${weeks} weeks ago`;
}

export function WeekBars({ weeks }: { readonly weeks: readonly Week[] }) {
  const width = weeks.length * (WIDE + GAP);
  return (
    <svg
      viewBox={`0 0 ${width} ${HIGH + 2}`}
      width={width}
      height={HIGH + 2}
      role="img"
      aria-label={weeksInWords(weeks)}
      className={styles.bars}
    >
      <path d={`M0 ${HIGH + 0.5}H${width}`} />
      {weeks.map(({ share }, k) => {
        const x = k * (WIDE + GAP) + GAP / 2;
        if (share === null) return <circle key={k} cx={x + WIDE / 2} cy={HIGH - 3} r={1.6} />;
        const high = Math.max(3, HIGH * share);
        return (
          <rect key={k} x={x} y={HIGH - high} width={WIDE} height={high} rx={3} data-now={k === weeks.length - 1} />
        );
      })}
    </svg>
  );
}

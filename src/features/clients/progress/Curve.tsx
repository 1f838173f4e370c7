import type { ProgressPoint } from '@/server/services/progress';
import { dayMonthYear } from '@/ui/words';
import styles from './Progress.module.css';

const WIDTH = 300;
const HEIGHT = 104;
const FOOT = 84;
const TOP = 22;

interface Props {
  readonly title: string;
  readonly unit: string;
  readonly points: readonly ProgressPoint[];
}

/** One figure over the visits: first and last figure only, an odd visit named on its point. */
export function Curve({ title, unit, points }: Props) {
  const [first, last] = [points[0], points.at(-1)];
  return (
    <figure className={styles.curve}>
      <figcaption>
        <strong>{title}</strong> <span className="quiet">{unit}</span>
      </figcaption>
      {first && last && points.length > 1 ? (
        <Drawn points={points} />
      ) : (
        <p className="quiet">
          {first ? `${first.value} so far: the next visit makes a line.` : 'Not said at any visit yet.'}
        </p>
      )}
    </figure>
  );
}

function Drawn({ points }: Pick<Props, 'points'>) {
  const most = Math.max(1, ...points.map((p) => p.value));
  const x = (i: number): number => 12 + (i * (WIDTH - 72)) / Math.max(1, points.length - 1);
  const y = (value: number): number => FOOT - (value / most) * (FOOT - TOP);
  const [first, last] = [points[0], points.at(-1)];
  const odd = points.findIndex((p) => p.odd !== '');
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={points.map((p) => `${dayMonthYear(p.on)}: ${p.value}${p.odd === '' ? '' : `, ${p.odd}`}`).join('; ')}
    >
      <line x1="4" x2={WIDTH - 46} y1={FOOT} y2={FOOT} stroke="var(--hairline-strong)" />
      <polyline
        points={points.map((p, i) => `${x(i)},${y(p.value)}`).join(' ')}
        fill="none"
        stroke="var(--wax)"
        strokeWidth="2.5"
      />
      {points.map((p, i) => (
        <circle
          key={`${p.on} ${i}`}
          cx={x(i)}
          cy={y(p.value)}
          r={i === points.length - 1 ? 5 : 3}
          fill={p.odd === '' ? 'var(--wax-dark)' : 'var(--sheet)'}
          stroke={p.odd === '' ? 'none' : 'var(--madder)'}
          strokeWidth="2"
        />
      ))}
      {odd < 0 ? null : (
        <text x={x(odd)} y="11" fontSize="12.5" textAnchor="middle" fill="var(--madder)">
          {points[odd]?.odd}
        </text>
      )}
      <text x="6" y={y(first?.value ?? 0) - 8} fontSize="14" fill="var(--second-ink)">
        {first?.value}
      </text>
      <text
        x={x(points.length - 1) + 10}
        y={y(last?.value ?? 0) + 6}
        fontSize="19"
        fontWeight="700"
        fill="var(--walnut)"
      >
        {last?.value}
      </text>
      <text x="4" y={HEIGHT - 4} fontSize="12.5" fill="var(--second-ink)">
        {dayMonthYear(first?.on ?? '')}
      </text>
      <text x={WIDTH - 46} y={HEIGHT - 4} fontSize="12.5" textAnchor="end" fill="var(--second-ink)">
        {dayMonthYear(last?.on ?? '')}
      </text>
    </svg>
  );
}

import styles from './Work.module.css';

const R = 118;
const ROUND = 2 * Math.PI * R;

interface Props {
  readonly laidAtMs: number;
  readonly readyAtMs: number;
  readonly dueAtMs: number;
  readonly nowMs: number;
}

/** Seconds set, round to the latest pull. It reminds; the hand decides. */
export function SetRing({ laidAtMs, readyAtMs, dueAtMs, nowMs }: Props) {
  const whole = Math.max(1, dueAtMs - laidAtMs);
  const share = (at: number): number => Math.min(1, Math.max(0, (at - laidAtMs) / whole));
  const state = nowMs < readyAtMs ? 'setting' : nowMs < dueAtMs ? 'in its window' : 'past its latest pull';
  const seconds = Math.max(0, Math.round((nowMs - laidAtMs) / 1000));
  const arc = (from: number, to: number): { strokeDasharray: string; strokeDashoffset: number } => ({
    strokeDasharray: `${(to - from) * ROUND} ${ROUND}`,
    strokeDashoffset: -from * ROUND,
  });
  return (
    <div
      className={styles.ring}
      data-state={state === 'setting' ? 'setting' : state === 'in its window' ? 'ready' : 'late'}
    >
      <svg viewBox="0 0 280 280" aria-hidden="true">
        <g transform="rotate(-90 140 140)" fill="none" strokeWidth="22">
          <circle cx="140" cy="140" r={R} stroke="#ece3d3" />
          <circle cx="140" cy="140" r={R} stroke="var(--verdigris-tint)" {...arc(share(readyAtMs), 1)} />
          <circle cx="140" cy="140" r={R} className={styles.arc} {...arc(0, share(nowMs))} />
          <line
            x1={140 + R - 16}
            x2={140 + R + 16}
            y1="140"
            y2="140"
            stroke="var(--walnut)"
            strokeWidth="3"
            transform={`rotate(${share(readyAtMs) * 360} 140 140)`}
          />
        </g>
      </svg>
      <div className={styles.count} role="timer" aria-label={`${seconds} seconds set, ${state}`}>
        <b>{seconds}</b>
        <span>seconds set</span>
        <strong>{state}</strong>
      </div>
    </div>
  );
}

import styles from './Work.module.css';

const R = 118;
const ROUND = 2 * Math.PI * R;

interface Props {
  readonly laidAtMs: number;
  readonly readyAtMs: number;
  readonly dueAtMs: number;
  readonly nowMs: number;
}

const STATE_WORDS = { setting: 'setting', ready: 'in its window', late: 'past its latest pull' } as const;

function stateAt(nowMs: number, readyAtMs: number, dueAtMs: number): keyof typeof STATE_WORDS {
  if (nowMs < readyAtMs) return 'setting';
  return nowMs < dueAtMs ? 'ready' : 'late';
}

/** Seconds set, round to the latest pull. It reminds; the hand decides. */
export function SetRing({ laidAtMs, readyAtMs, dueAtMs, nowMs }: Props) {
  const whole = Math.max(1, dueAtMs - laidAtMs);
  const share = (at: number): number => Math.min(1, Math.max(0, (at - laidAtMs) / whole));
  const state = stateAt(nowMs, readyAtMs, dueAtMs);
  const seconds = Math.max(0, Math.round((nowMs - laidAtMs) / 1000));
  const arc = (from: number, to: number): { strokeDasharray: string; strokeDashoffset: number } => ({
    strokeDasharray: `${(to - from) * ROUND} ${ROUND}`,
    strokeDashoffset: -from * ROUND,
  });
  return (
    <div className={styles.ring} data-state={state}>
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
      <div className={styles.count} role="timer" aria-label={`${seconds} seconds set, ${STATE_WORDS[state]}`}>
        <b>{seconds}</b>
        <span>seconds set</span>
        <strong>{STATE_WORDS[state]}</strong>
      </div>
    </div>
  );
}

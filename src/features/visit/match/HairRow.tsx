import { seededRandom } from '@/core/shared';
import styles from './Match.module.css';

const HAIRS = 26;
const WIDTH = 146;
const HEIGHT = 24;

interface Props {
  /** Share that comes off clean, 0–1. */
  readonly share: number;
  /** Some hair stays, however little. */
  readonly stays: boolean;
}

/** The share clean as drawn hairs: what comes off in wax, what is left behind in ink at the end. */
export function HairRow({ share, stays }: Props) {
  const left = Math.min(HAIRS, Math.max(stays ? 1 : 0, Math.round((1 - share) * HAIRS)));
  const random = seededRandom(5);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className={styles.hairs} aria-hidden="true">
      <path d={`M0 ${HEIGHT - 1} H${WIDTH}`} stroke="var(--hairline-strong)" />
      {Array.from({ length: HAIRS }, (_, i) => {
        const x = 3 + (i * (WIDTH - 8)) / (HAIRS - 1);
        const [height, lean] = [random.between(13, 20), random.between(0.5, 4)];
        const isLeft = i >= HAIRS - left;
        return (
          <path
            key={i}
            d={`M${x} ${HEIGHT - 1} q${lean * 0.2} ${-height * 0.6} ${lean} ${-height}`}
            fill="none"
            stroke={isLeft ? 'var(--walnut)' : 'var(--wax)'}
            strokeWidth={isLeft ? 3 : 1.8}
            strokeLinecap="round"
          />
        );
      })}
    </svg>
  );
}

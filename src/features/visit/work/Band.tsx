import type { Band as Shares, SignalState } from '@/core/hands';
import styles from './Work.module.css';

interface Props {
  readonly band: Shares;
  readonly state: SignalState;
  /** From below upwards, or from the left. */
  readonly upright: boolean;
}

const LONG = 728;
const WIDE = 44;

/**
 * The time of a strip: dots up to ready, chevrons up to the latest pull, bars beyond; what is in force is bright, a
 * pointer shows now, and while it sets wax rises in it. Drawn along x, turned where it stands.
 */
export function Band({ band, state, upright }: Props) {
  const [ready, latest, now] = [band.ready * LONG, band.latest * LONG, band.now * LONG];
  const part = (of: SignalState): number => (of === state ? 1 : 0.3);
  const chevrons = Array.from({ length: Math.max(0, Math.floor((latest - ready) / 26)) }, (_, k) => ready + 8 + k * 26);
  const dots = Array.from({ length: Math.max(0, Math.floor(ready / 16)) }, (_, k) => 8 + k * 16);
  const bars = Array.from({ length: Math.max(0, Math.ceil((LONG - latest) / 30)) }, (_, k) => latest + 4 + k * 30);
  return (
    <svg
      className={upright ? styles.bandUpright : styles.bandLying}
      viewBox={upright ? `-8 0 ${WIDE + 16} ${LONG}` : `0 -8 ${LONG} ${WIDE + 16}`}
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <g transform={upright ? `matrix(0 -1 1 0 0 ${LONG})` : undefined} stroke="currentColor" fill="none">
        <rect width={LONG} height={WIDE} rx="6" fill="currentColor" fillOpacity="0.12" stroke="none" />
        {state === 'wait' ? <rect width={now} height={WIDE} rx="6" className={styles.risen} stroke="none" /> : null}
        <g opacity={part('wait')} stroke="none" fill="currentColor">
          {dots.flatMap((x) => [10, 22, 34].map((y) => <circle key={`${x}/${y}`} cx={x} cy={y} r="2.2" />))}
        </g>
        <g opacity={part('pull')} strokeWidth="7">
          {chevrons.map((x) => (
            <path key={x} d={`M${x} 3L${x + 13} 22L${x} 41`} />
          ))}
        </g>
        <g opacity={part('now')} strokeWidth="13">
          {bars.map((x) => (
            <path key={x} d={`M${x + 2} 40L${Math.min(x + 18, LONG - 4)} 4`} />
          ))}
        </g>
        <g strokeWidth="4">
          <path d={`M${ready} -6V${WIDE + 6}M${latest} -6V${WIDE + 6}`} />
        </g>
        <path
          d={`M${now - 12} -8H${now + 12}L${now + 3} 8V36L${now + 12} 52H${now - 12}L${now - 3} 36V8Z`}
          fill="currentColor"
          stroke="none"
        />
      </g>
    </svg>
  );
}

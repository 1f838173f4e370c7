import type { BarePlace } from '@/core/field';
import { dayMonthYear } from '@/ui/words';
import { toPicture, type View } from '../sheetView';
import styles from './Chart.module.css';

/** Where strips came off without hair at earlier visits: outlined, with the day; never a promise that it is gone. */
export function BarePlaces({ view, places }: { readonly view: View; readonly places: readonly BarePlace[] }) {
  if (places.length === 0) return null;
  return (
    <svg
      className={styles.bare}
      role="img"
      aria-label={`Without hair: ${places.map((p) => dayMonthYear(p.on)).join(', ')}`}
    >
      {places.map((p, i) => {
        const [x, y] = toPicture(view, p.at);
        const r = p.radiusCm * view.pxPerCm;
        return (
          <g key={i}>
            <circle cx={x} cy={y} r={r} />
            <text x={x} y={y - r - 6}>
              bare, {dayMonthYear(p.on)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

// What is left over the weeks to come: a stair that falls with the visits booked, flat while closed; where it is empty,
// and by when to order.

import { daysBetween } from '@/core/shared';
import type { Shelf, ShelfRow } from '@/server/services/shelf';
import { dayMonth } from '@/ui/words';
import styles from './Shelf.module.css';

const [W, H, FOOT, TOP] = [430, 74, 56, 18] as const;

interface Props {
  readonly shelf: Shelf;
  readonly row: ShelfRow;
}

export function Stair({ shelf, row }: Props) {
  const { today, toOn, closed } = shelf;
  const { forecast, order, reserve, kind, lots } = row;
  const days = daysBetween(today, toOn);
  const x = (on: string): number => (W * Math.min(days, Math.max(0, daysBetween(today, on)))) / days;
  const now = row.amount + row.inPots;
  const most = Math.max(1, ...forecast.stair.map((s) => s.left), now);
  const y = (left: number): number => FOOT - ((FOOT - TOP) * left) / most;
  const path = forecast.stair.reduce(
    // what is there now goes down in the middle of the day
    (d, s) => `${d} H${x(s.on) + W / days / 2} V${y(s.left)}`,
    `M0 ${FOOT} V${y(now)}`,
  );
  const { emptyOn, past } = forecast;
  const pastLot = past && lots.find((l) => l.id === past.id);
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className={styles.stair} role="img" aria-label={stairWords(row)}>
      {closed
        .filter((c) => c.to >= today && c.from <= toOn)
        .map((c) => (
          <rect
            key={c.from}
            x={x(c.from)}
            y={TOP - 8}
            width={Math.max(3, x(c.to) - x(c.from))}
            height={FOOT - TOP + 8}
            className={styles.closed}
          />
        ))}
      <path d={`${path} H${W} V${FOOT} Z`} className={styles.fall} data-kind={kind} />
      <path d={`M0 ${FOOT} H${W}`} className={styles.plank} />
      {kind === 'retail' && reserve > 0 ? (
        <path d={`M0 ${y(Math.min(most, reserve))} H${W}`} className={styles.keep} />
      ) : null}
      {emptyOn ? (
        <g className={styles.empty} data-late={order !== null && order.by <= today}>
          <path d={`M${x(emptyOn) - 7} ${FOOT + 13} h14 l-7 -11 z`} />
          <text x={x(emptyOn) + 10} y={FOOT + 14}>
            {dayMonth(emptyOn)}
          </text>
        </g>
      ) : null}
      {past && !emptyOn ? (
        <text x={Math.min(W - 120, x(past.on))} y={FOOT + 14} className={styles.pastWords}>
          {pastLot?.lot || 'a lot'} past on {dayMonth(past.on)}
        </text>
      ) : null}
      {order ? (
        <g className={styles.pin}>
          <path d={`M${Math.max(6, x(order.by))} ${FOOT} V14`} />
          <circle cx={Math.max(6, x(order.by))} cy="10" r="5" />
          <text x={Math.max(6, x(order.by)) + 10} y="14">
            order by {dayMonth(order.by)}
          </text>
        </g>
      ) : null}
    </svg>
  );
}

function stairWords({ forecast, order, name }: ShelfRow): string {
  const empty = forecast.emptyOn ? `runs out on ${dayMonth(forecast.emptyOn)}` : 'lasts';
  return `${name} ${empty}${order ? `, order by ${dayMonth(order.by)}` : ''}`;
}

import { deg, degSpan } from '@/formats/heat';
import type { PotDay } from '@/core/pots';
import type { Today } from '@/server/services/today';
import type { TodayPot, TodayPots } from '@/server/services/todayPots';
import { timeOfDay } from '@/ui/words';
import { actWords } from './potDayWords';
import { shareOf, type Ribbon } from './ribbon';
import type { PotDays } from './usePotDays';
import styles from './Pots.module.css';

/** Heats between which the lane is drawn, °C. */
const LOW_C = 20;
const HIGH_C = 72;
const share = (tempC: number): number => Math.min(1, Math.max(0, (tempC - LOW_C) / (HIGH_C - LOW_C)));

interface Props {
  readonly today: Today;
  readonly pots: TodayPots;
  readonly potDays: PotDays;
  readonly ribbon: Ribbon;
}

/** The pots under the visits, on the same hours: heat, windows, when to switch. */
export function PotLanes({ today, pots, potDays, ribbon }: Props) {
  const { fromMs, days } = potDays;
  return (
    <>
      {pots.pots.map((pot, i) => (
        <Lane
          key={pot.id}
          pot={pot}
          day={days === null || days === 'failed' ? null : (days[i] ?? null)}
          isFailed={days === 'failed'}
          fromMs={fromMs}
          today={today}
          ribbon={ribbon}
        />
      ))}
      <p className={styles.caution}>
        Estimates for each pot as Pots describes it: the wrist decides, the label comes first.
      </p>
    </>
  );
}

interface LaneProps {
  readonly pot: TodayPot;
  readonly day: PotDay | null;
  readonly isFailed: boolean;
  readonly fromMs: number;
  readonly today: Today;
  readonly ribbon: Ribbon;
}

function standing({ tempC, setC }: TodayPot): string {
  const heat = tempC === null ? 'not measured' : `${deg(tempC)}`;
  return `${heat}${setC === null ? ', off' : `, set ${deg(setC)}`}`;
}

function Lane({ pot, day, isFailed, fromMs, today, ribbon }: LaneProps) {
  const { timeZone } = today;
  const windows = today.visits.flatMap((v) =>
    v.pots
      .filter((p) => p.productId === pot.product.id)
      .map((p) => ({
        ...p,
        key: v.bookingId,
        who: v.clientName,
        fromMs: v.startsAtMs + v.parts.prepareMin * 60_000,
        toMs: v.startsAtMs + (v.parts.prepareMin + v.parts.layPullMin) * 60_000,
      })),
  );
  const heats: readonly (readonly [number, number])[] = [
    ...pot.heats,
    ...(day?.curve ?? []).map(([s, c]) => [fromMs + 1000 * s, c] as const),
  ].filter(([atMs]) => atMs >= ribbon.fromMs && atMs <= ribbon.toMs);
  const acts = (day?.acts ?? []).filter(({ atS }) => {
    const atMs = fromMs + 1000 * atS;
    return atMs >= ribbon.fromMs && atMs <= ribbon.toMs;
  });
  const points = heats.map(([atMs, c]) => [1000 * shareOf(ribbon, atMs), 100 * (1 - share(c))] as const);
  return (
    <div className={styles.lane}>
      <h3>
        {pot.name.split(',')[0]}
        <small>{standing(pot)}</small>
        <small className={styles.next}>{acts.map((a) => actWords(a, fromMs, timeZone)).join(', ')}</small>
      </h3>
      <div
        className={styles.track}
        role="img"
        aria-label={[
          `${pot.name}: ${standing(pot)}`,
          ...windows.map((w) => `${degSpan(w.minC, w.maxC)} for ${w.who} at ${timeOfDay(w.fromMs, timeZone)}`),
          ...acts.map((a) => actWords(a, fromMs, timeZone)),
        ].join('; ')}
      >
        {windows.map((w) => (
          <i
            key={w.key}
            className={styles.window}
            style={
              {
                '--at': shareOf(ribbon, w.fromMs),
                '--long': shareOf(ribbon, w.toMs) - shareOf(ribbon, w.fromMs),
                '--low': share(w.minC),
                '--high': share(w.maxC),
              } as React.CSSProperties
            }
          />
        ))}
        <svg className={styles.across} viewBox="0 0 1000 100" preserveAspectRatio="none" aria-hidden="true">
          <polyline points={points.map((p) => p.join(',')).join(' ')} />
        </svg>
        <svg className={styles.down} viewBox="0 0 100 1000" preserveAspectRatio="none" aria-hidden="true">
          <polyline points={points.map(([x, y]) => `${100 - y},${x}`).join(' ')} />
        </svg>
        {acts.map((a) => {
          const atMs = fromMs + 1000 * a.atS;
          const c = heats.findLast(([t]) => t <= atMs)?.[1] ?? pot.tempC ?? LOW_C;
          const isLate = shareOf(ribbon, atMs) > 0.8;
          return (
            <span
              key={`${a.what} ${a.atS}`}
              className={styles.act}
              data-late={isLate}
              style={{ '--at': shareOf(ribbon, atMs), '--heat': share(c) } as React.CSSProperties}
            >
              <b>{actWords(a, fromMs, timeZone)}</b>
            </span>
          );
        })}
        {day === null ? (
          <span className={styles.coming}>{isFailed ? 'This tablet could not work it out.' : 'working it out …'}</span>
        ) : null}
      </div>
    </div>
  );
}

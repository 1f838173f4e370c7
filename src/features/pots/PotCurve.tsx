// A pot over the day: heat that was solid, to come dashed, the windows of the visits under "lay and pull", when to
// switch and when to fill up.

import { sized } from '@/formats/size';
import { deg, degSpan } from '@/formats/heat';
import type { PotDay } from '@/core/pots';
import { actWords } from '@/features/today/potDayWords';
import { shareOf, type Ribbon } from '@/features/today/ribbon';
import type { Today } from '@/server/services/today';
import type { TodayPot } from '@/server/services/todayPots';
import { timeOfDay } from '@/ui/words';
import styles from './Pots.module.css';

interface Props {
  readonly pot: TodayPot;
  /** Null while it is worked out. */
  readonly day: PotDay | null;
  readonly isFailed: boolean;
  readonly fromMs: number;
  readonly nowMs: number;
  readonly today: Today;
  readonly ribbon: Ribbon;
}

const [W, H, LEFT, TOP, FOOT] = [440, 180, 34, 46, 158] as const;
const [LOW_C, HIGH_C] = [18, 72] as const;
/** A core that is this much colder is drawn. */
const UNEVEN_K = 3;

export function PotCurve({ pot, day, isFailed, fromMs, nowMs, today, ribbon }: Props) {
  const { timeZone } = today;
  const x = (atMs: number): number => LEFT + (W - LEFT - 6) * shareOf(ribbon, atMs);
  const y = (c: number): number =>
    FOOT - ((FOOT - TOP) * (Math.min(HIGH_C, Math.max(LOW_C, c)) - LOW_C)) / (HIGH_C - LOW_C);
  const isShown = (atMs: number): boolean => atMs >= ribbon.fromMs && atMs <= ribbon.toMs;
  const line = (points: readonly (readonly [number, number])[]): string =>
    points
      .filter(([atMs]) => isShown(atMs))
      .map(([atMs, c], i) => `${i === 0 ? 'M' : 'L'}${x(atMs).toFixed(1)} ${y(c).toFixed(1)}`)
      .join(' ');
  const coming = (day?.curve ?? []).map(([s, c]) => [fromMs + 1000 * s, c] as const);
  const core = (day?.core ?? []).map(([s, c]) => [fromMs + 1000 * s, c] as const);
  // even wax has no core of its own
  const isUneven = core.some(([, c], i) => (coming[i]?.[1] ?? c) - c > UNEVEN_K);
  const windows = today.visits.flatMap((v) =>
    v.pots
      .filter((p) => p.productId === pot.product.id)
      .map((p) => {
        const layMs = v.startsAtMs + v.parts.prepareMin * 60_000;
        const who = v.clientName.split(' ')[0] ?? '';
        return { ...p, key: v.bookingId, who, fromMs: layMs, toMs: layMs + v.parts.layPullMin * 60_000 };
      }),
  );
  const heatAt = (atMs: number): number => coming.findLast(([t]) => t <= atMs)?.[1] ?? pot.tempC ?? LOW_C;
  const acts = (day?.acts ?? []).map((a) => ({ atMs: fromMs + 1000 * a.atS, words: actWords(a, fromMs, timeZone) }));
  const fills = day?.refill
    ? [{ atMs: fromMs + 1000 * day.refill.atS, words: `add ${sized(day.refill.addG, 'g')}` }]
    : [];
  const moments = [...acts, ...fills].filter((m) => isShown(m.atMs)).sort((a, b) => a.atMs - b.atMs);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className={styles.curve}
      role="img"
      aria-label={curveWords(pot, windows, moments, timeZone)}
    >
      {ribbon.hours.map((h) => (
        <g key={h}>
          <path d={`M${x(h)} ${TOP} V${FOOT}`} className={styles.hour} />
          <text x={x(h)} y={H - 8} textAnchor="middle">
            {timeOfDay(h, timeZone)}
          </text>
        </g>
      ))}
      {[20, 40, 60].map((c) => (
        <g key={c}>
          <path d={`M${LEFT} ${y(c)} H${W}`} className={styles.hour} />
          <text x={LEFT - 6} y={y(c) + 4} textAnchor="end">
            {deg(c)}
          </text>
        </g>
      ))}
      {windows.map((w) => (
        <g key={w.key}>
          <rect
            x={x(w.fromMs)}
            y={y(w.maxC)}
            width={Math.max(4, x(w.toMs) - x(w.fromMs))}
            height={Math.max(4, y(w.minC) - y(w.maxC))}
            className={styles.windowBox}
          />
          <text x={(x(w.fromMs) + x(w.toMs)) / 2} y={y(w.minC) + 15} textAnchor="middle" className={styles.who}>
            {w.who}
          </text>
        </g>
      ))}
      <path d={line(pot.heats)} className={styles.was} />
      {isUneven ? <path d={line(core)} className={styles.core} /> : null}
      <path d={line(coming)} className={styles.comes} />
      {isShown(nowMs) ? <path d={`M${x(nowMs)} ${TOP - 8} V${FOOT}`} className={styles.nowLine} /> : null}
      {moments.map((m, i) => {
        const [cx, cy] = [x(m.atMs), y(heatAt(m.atMs))];
        const isEnd = cx > W - 90;
        return (
          <g key={`${m.words} ${m.atMs}`}>
            <path d={`M${cx} ${16 + 14 * (i % 3)} V${cy}`} className={styles.leader} />
            <circle cx={cx} cy={cy} r="5.5" className={styles.moment} data-done={m.atMs <= nowMs} />
            <text
              x={isEnd ? cx + 4 : cx - 4}
              y={12 + 14 * (i % 3)}
              textAnchor={isEnd ? 'end' : 'start'}
              className={styles.momentWords}
            >
              {m.words}
            </text>
          </g>
        );
      })}
      {day === null ? (
        <text x={(W + LEFT) / 2} y={TOP + 16} textAnchor="middle">
          {isFailed ? 'This tablet could not work it out.' : 'working it out …'}
        </text>
      ) : null}
    </svg>
  );
}

function curveWords(
  pot: TodayPot,
  windows: readonly { readonly who: string; readonly minC: number; readonly maxC: number; readonly fromMs: number }[],
  moments: readonly { readonly words: string }[],
  timeZone: string,
): string {
  return [
    `${pot.name} over the day`,
    ...windows.map((w) => `${degSpan(w.minC, w.maxC)} for ${w.who} at ${timeOfDay(w.fromMs, timeZone)}`),
    ...moments.map((m) => m.words),
  ].join('; ');
}

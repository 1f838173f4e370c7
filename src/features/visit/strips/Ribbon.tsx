import { ZONES, type ZoneId } from '@/core/anatomy';
import type { Plan } from '@/core/plan';
import { spansOf } from './playback';
import styles from './Ribbon.module.css';

const HAND_DEEDS = {
  walk: 'var(--hairline-strong)',
  pose: 'var(--hairline-strong)',
  change: 'var(--second-ink)',
} as const;
/** Minutes between marks: as many as have room. */
const stepOf = (endS: number): number => [1, 2, 5, 10, 15].find((m) => endS / 60 / m <= 12) ?? 30;

interface Props {
  readonly plan: Plan;
  readonly atS: number | null;
  readonly onMoment: (atS: number) => void;
}

/** The work in time: what the hands do, what lies on the skin, which zone; minutes on top, turns hatched. */
export function Ribbon({ plan, atS, onMoment }: Props) {
  const { schedule } = plan;
  const endS = Math.max(1, schedule.endS);
  const spans = spansOf(plan);
  const rows = Math.max(1, ...spans.map((s) => s.row + 1));
  const x = (s: number): number => (1000 * s) / endS;
  const share = (s: number): string => `${(100 * s) / endS}%`;
  const step = stepOf(endS);
  const marks = Array.from({ length: Math.floor(endS / 60 / step) + 1 }, (_, k) => k * step);
  const rowHeight = 26 / rows;
  return (
    <div className={styles.ribbon}>
      <span className={styles.label}>min</span>
      <div className={styles.marks} aria-hidden="true">
        {marks.map((m) => (
          <span key={m} style={{ left: share(60 * m) }}>
            {m}
          </span>
        ))}
      </div>
      <span className={styles.label}>
        hands
        <br />
        on the skin
      </span>
      <svg
        viewBox="0 0 1000 52"
        preserveAspectRatio="none"
        className={styles.lanes}
        role="img"
        aria-label={`Hands above, strips on the skin below, ${Math.round(endS / 60)} minutes`}
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          onMoment(Math.round((endS * (e.clientX - box.left)) / Math.max(1, box.width)));
        }}
      >
        <defs>
          <pattern id="ribbon-turn" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
            <rect width="2" height="7" fill="var(--hairline-strong)" />
          </pattern>
        </defs>
        {marks.map((m) => (
          <line key={m} x1={x(60 * m)} x2={x(60 * m)} y1="0" y2="52" stroke="var(--hairline)" strokeWidth="1" />
        ))}
        {schedule.events.map((e) => {
          if (e.do === 'turn') {
            return <rect key={e.atS} x={x(e.atS)} y="0" width={x(e.forS)} height="52" fill="url(#ribbon-turn)" />;
          }
          const fill = e.do in HAND_DEEDS ? HAND_DEEDS[e.do as keyof typeof HAND_DEEDS] : null;
          return fill ? <rect key={e.atS} x={x(e.atS)} y="9" width={x(e.forS)} height="4" fill={fill} /> : null;
        })}
        {spans.map((s) => (
          <g key={s.id}>
            <rect
              x={x(s.layFrom)}
              y="2"
              width={Math.max(1, x(s.layTo - s.layFrom) - 1)}
              height="18"
              fill="var(--wax)"
            />
            <rect
              x={x(s.pullFrom)}
              y="2"
              width={Math.max(1, x(s.pullTo - s.pullFrom) - 1)}
              height="18"
              fill="var(--walnut)"
            />
            <rect
              x={x(s.layFrom)}
              y={24 + s.row * rowHeight}
              width={Math.max(1, x(s.pullTo - s.layFrom) - 1)}
              height={rowHeight - 2}
              fill="var(--wax-tint)"
              stroke="var(--wax)"
              strokeWidth="0.6"
            />
            <rect
              x={x(s.readyAt)}
              y={24 + s.row * rowHeight}
              width={Math.max(0, x(s.pullTo - s.readyAt) - 1)}
              height={rowHeight - 2}
              fill="var(--wax)"
            />
          </g>
        ))}
        {atS === null ? null : <line x1={x(atS)} x2={x(atS)} y1="0" y2="52" stroke="var(--madder)" strokeWidth="2" />}
      </svg>
      <span className={styles.label}>zone</span>
      <div className={styles.zones}>
        {partsOf(plan).map((p) => (
          <span key={p.fromS} style={{ left: share(p.fromS), width: share(p.toS - p.fromS) }} title={p.name}>
            {p.name}
          </span>
        ))}
      </div>
    </div>
  );
}

/** Each zone, both sides together, from its first lay to the first lay of the next. */
function partsOf(plan: Plan): readonly { readonly name: string; readonly fromS: number; readonly toS: number }[] {
  const zoneOf = new Map(plan.zones.flatMap((z) => z.strips.map((s): [string, ZoneId] => [s.id, z.zone])));
  const first = new Map<ZoneId, number>();
  for (const e of plan.schedule.events) {
    const zone = e.do === 'lay' && e.strip !== null ? zoneOf.get(e.strip) : undefined;
    if (zone !== undefined && !first.has(zone)) first.set(zone, e.atS);
  }
  const starts = [...first].sort((a, b) => a[1] - b[1]);
  return starts.map(([zone, fromS], k) => {
    const turn = plan.schedule.events.find((e) => e.do === 'turn' && e.atS > fromS)?.atS ?? plan.schedule.endS;
    return { name: ZONES[zone].name, fromS, toS: Math.min(turn, starts[k + 1]?.[1] ?? plan.schedule.endS) };
  });
}

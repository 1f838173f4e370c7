// Heat over time: stages as bands, the end as a line, the plan dotted, what was read solid, the rest dashed.

import { deg } from '@/formats/heat';
import { STAGES } from '@/core/kitchen';
import type { OpenBatch } from '@/server/services/kitchen';
import { timeOfDay } from '@/ui/words';
import { FIRMNESS_WORDS, type BatchNow } from './batchNow';
import styles from './Kitchen.module.css';

interface Props {
  readonly batch: OpenBatch;
  readonly now: BatchNow;
  readonly nowMs: number;
  readonly timeZone: string;
}

const [W, H, LEFT, RIGHT, TOP, FOOT] = [740, 370, 48, 716, 8, 340] as const;
const STEP_MIN = 5;

export function CookCurve({ batch, now, nowMs, timeZone }: Props) {
  const { endC, waterC } = batch;
  const shift = waterC - 100;
  const [low, high] = [97 + shift, 126 + shift];
  const { plan, reads, last, elapsedS, leftS } = now;
  const endS = elapsedS + (leftS ?? 0);
  const spanMin = Math.ceil(Math.max(plan.endsAtS ?? 1800, endS, elapsedS) / 60 / STEP_MIN + 0.4) * STEP_MIN;
  const x = (s: number): number => LEFT + ((RIGHT - LEFT) * s) / 60 / spanMin;
  const y = (c: number): number => FOOT - ((FOOT - TOP) * (Math.min(high, Math.max(low, c)) - low)) / (high - low);
  const path = (points: readonly { readonly atS: number; readonly tempC: number }[]): string =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.atS).toFixed(1)} ${y(p.tempC).toFixed(1)}`).join(' ');
  const shown = plan.curve.filter((p) => p.tempC >= low);
  const onHeat = batch.step === 'boil' || batch.step === 'cook';
  const ticks = Array.from({ length: Math.floor(spanMin / STEP_MIN) + 1 }, (_, i) => i * STEP_MIN);
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className={styles.curve} role="img" aria-label={curveWords(batch, now)}>
      {STAGES.map((s) => {
        const [top, bottom] = [y(Math.min(high, s.toC + shift)), y(s.fromC + shift)];
        const isEnd = s.fromC + shift <= endC && endC <= s.toC + shift;
        return (
          <g key={s.id}>
            <rect
              x={LEFT}
              y={top}
              width={RIGHT - LEFT}
              height={bottom - top}
              className={styles.band}
              data-end={isEnd}
            />
            <text x={RIGHT - 10} y={(top + bottom) / 2 + 5} textAnchor="end" data-end={isEnd}>
              {s.name}
            </text>
          </g>
        );
      })}
      {[100, 104, 108, 112, 116, 120, 124].map((c) => (
        <text key={c} x={LEFT - 8} y={y(c + shift) + 5} textAnchor="end">
          {deg(c + shift)}
        </text>
      ))}
      {ticks.map((min) => (
        <text key={min} x={x(min * 60)} y={H - 8} textAnchor="middle">
          {min === 0 ? '0 min' : min}
        </text>
      ))}
      <path d={path(shown)} className={styles.planned} />
      <path d={`M${LEFT} ${y(endC)} H${RIGHT}`} className={styles.endLine} />
      <text x={LEFT + 10} y={y(endC) - 8} className={styles.endWords}>
        take it off at {deg(endC)}: {FIRMNESS_WORDS[batch.firmness]}
      </text>
      <path d={path([...reads])} className={styles.real} />
      {onHeat && leftS !== null ? (
        <>
          <path
            d={path([last ?? { atS: elapsedS, tempC: planAt(now, elapsedS) }, { atS: endS, tempC: endC }])}
            className={styles.rest}
          />
          <circle cx={x(endS)} cy={y(endC)} r="7" className={styles.goal} />
          <text x={x(endS)} y={y(endC) + 26} textAnchor="middle" className={styles.endWords}>
            {timeOfDay(nowMs + leftS * 1000, timeZone)}
          </text>
        </>
      ) : null}
      {last ? <circle cx={x(last.atS)} cy={y(last.tempC)} r="8" className={styles.nowDot} /> : null}
    </svg>
  );
}

/** What the plan expects at a time, °C. */
const planAt = ({ plan }: BatchNow, atS: number): number =>
  plan.curve.findLast((p) => p.atS <= atS)?.tempC ?? plan.curve[0]?.tempC ?? 0;

function curveWords({ endC }: OpenBatch, { last, leftS }: BatchNow): string {
  const read = last ? `${deg(last.tempC)} read` : 'nothing read yet';
  const left = leftS === null ? '' : `, about ${Math.round(leftS / 60)} min to ${deg(endC)}`;
  return `${read}${left}`;
}

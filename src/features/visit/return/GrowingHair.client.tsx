'use client';

import { sized } from '@/formats/size';
import { useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { RegrowthModel } from '@/core/hair';
import { addDays } from '@/core/shared';
import { dayMonth } from '@/ui/words';
import { DAYS, HAIRS, lengthsOn, WEEKS } from './growingHairs';
import type { FamilyLine } from './regrowthLines';
import styles from './Return.module.css';

const [W, H] = [880, 366];
const [LEFT, RIGHT, TOP, SKIN] = [66, 34, 44, 306];
/** Room of one week's hairs, px. */
const CLUMP = 58;
const WORDS: Readonly<Record<string, string>> = { hard: 'hard wax', soft: 'soft wax', sugar: 'sugar' };

interface Props {
  readonly model: RegrowthModel;
  readonly lines: readonly FamilyLine[];
  /** What was worked with today. */
  readonly own: FamilyLine | undefined;
  readonly on: string;
  readonly window: { readonly from: number; readonly to: number } | null;
  readonly smoothDay: number;
  readonly away: readonly { readonly from: number; readonly to: number; readonly why: string }[];
  readonly day: number;
  readonly onDay: (day: number) => void;
}

const x = (day: number): number => LEFT + ((W - LEFT - RIGHT) * day) / DAYS;

/** Too short for the comb, held, or to be trimmed first. */
function lookOf(mm: number, shortestMm: number, longestMm: number): 'short' | 'held' | 'long' {
  if (mm > longestMm) return 'long';
  return mm >= shortestMm ? 'held' : 'short';
}

/** Hair growing out of a line week by week under each product's comb; the day is a handle on the line. */
export function GrowingHair({ model, lines, own, on, window, smoothDay, away, day, onDay }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const longestMm = own?.longestMm ?? 13;
  const topMm = Math.max(longestMm * 1.18, 10);
  const y = (mm: number): number => SKIN - ((SKIN - TOP) * Math.min(mm, topMm)) / topMm;
  const weeks = useMemo(() => Array.from({ length: WEEKS + 1 }, (_, w) => lengthsOn(model, 7 * w)), [model]);
  const held = useMemo(() => {
    const lengths = lengthsOn(model, day).filter((mm) => mm >= 0.5);
    const long = lengths.filter((mm) => mm >= (own?.shortestMm ?? 4) && mm <= longestMm);
    return { of: lengths.length, long: long.length };
  }, [model, day, own, longestMm]);
  const dayAt = (event: PointerEvent): number => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return day;
    const at = ((event.clientX - box.left) / box.width) * W;
    return Math.round(Math.min(DAYS, Math.max(1, ((at - LEFT) / (W - LEFT - RIGHT)) * DAYS)));
  };
  const drag = (event: PointerEvent<SVGElement>): void => {
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    else if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    event.preventDefault();
    onDay(dayAt(event));
  };
  const key = (event: KeyboardEvent): void => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 7, PageDown: -7 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onDay(Math.min(DAYS, Math.max(1, day + by)));
  };
  const chosen = addDays(on, day);
  const side = x(day) > W - 200 ? 'end' : 'start';
  return (
    <svg ref={svg} viewBox={`0 0 ${W} ${H}`} className={styles.growing}>
      {window ? (
        <rect
          x={x(window.from)}
          y={TOP - 8}
          width={x(window.to) - x(window.from)}
          height={SKIN - TOP + 8}
          className={styles.ready}
        />
      ) : null}
      {lines.map((l) => (
        <g key={l.family} data-own={l === own} className={styles.comb}>
          <path d={`M${LEFT} ${y(l.shortestMm)} H${W - RIGHT + 14}`} />
          <text x={LEFT - 6} y={y(l.shortestMm) + 5} textAnchor="end">
            {sized(Math.round(l.shortestMm * 10) / 10, 'mm')}
          </text>
          <text x={LEFT + 6} y={y(l.shortestMm) - 5}>
            {WORDS[l.family]}
          </text>
        </g>
      ))}
      <g className={styles.trim}>
        <path d={`M${LEFT} ${y(longestMm)} H${W - RIGHT + 14}`} />
        <text x={LEFT - 6} y={y(longestMm) + 5} textAnchor="end">
          {sized(Math.round(longestMm), 'mm')}
        </text>
        <text x={LEFT + 6} y={y(longestMm) - 6}>
          trim first
        </text>
      </g>
      {weeks.map((lengths, w) =>
        lengths.map((mm, i) => {
          if (mm < 0.5) return null;
          const at = x(7 * w) + ((((i * 7) % HAIRS) + 0.5) / HAIRS - 0.5) * CLUMP;
          const lean = ((i * 3) % 5) - 2;
          const look = lookOf(mm, own?.shortestMm ?? 4, longestMm);
          return (
            <path
              key={`${w} ${i}`}
              data-look={look}
              className={styles.hair}
              d={`M${at} ${SKIN} Q${at} ${(SKIN + y(mm)) / 2} ${at + 2.5 * lean} ${y(mm)}`}
            />
          );
        }),
      )}
      <path d={`M${LEFT - 10} ${SKIN} H${W - RIGHT + 20}`} className={styles.skinLine} />
      {weeks.map((_, w) => (
        <text key={w} x={x(7 * w)} y={SKIN + 34} className={styles.week} data-first={w === 0}>
          {w % 2 === 0 ? dayMonth(addDays(on, 7 * w)).replace(/([a-z]{3})[a-z]+$/i, '$1') : ''}
        </text>
      ))}
      <text x={x(smoothDay)} y={SKIN + 54} className={styles.week}>
        smooth to here
      </text>
      {away.map((a) => (
        <g key={`${a.from}`} className={styles.away}>
          <rect
            x={x(Math.max(0, a.from))}
            y={SKIN + 42}
            width={Math.max(8, x(Math.min(DAYS, a.to + 1)) - x(Math.max(0, a.from)))}
            height="14"
          />
          <text x={x(Math.max(0, a.from)) + 4} y={SKIN + 53}>
            {a.why || 'away'}
          </text>
        </g>
      ))}
      <path d={`M${x(day)} ${TOP - 8} V${SKIN}`} className={styles.dayLine} />
      <text x={x(day) + (side === 'end' ? -8 : 8)} y={TOP - 16} textAnchor={side} className={styles.heldWords}>
        {held.of === 0 ? 'nothing has come through yet' : `${held.long} of ${held.of} hairs long enough`}
      </text>
      <g
        role="slider"
        tabIndex={0}
        aria-label="Day of the next visit"
        aria-valuemin={1}
        aria-valuemax={DAYS}
        aria-valuenow={day}
        aria-valuetext={`${dayMonth(chosen)}, ${held.long} of ${held.of} hairs long enough`}
        onKeyDown={key}
        onPointerDown={drag}
        onPointerMove={drag}
        className={styles.handle}
      >
        <circle cx={x(day)} cy={SKIN} r="23" />
        <path d={`M${x(day) - 5} ${SKIN - 7} l-6 7 l6 7 M${x(day) + 5} ${SKIN - 7} l6 7 l-6 7`} />
      </g>
    </svg>
  );
}

'use client';

import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { ZONES } from '@/core/anatomy';
import type { PlanStrip, PlanZone } from '@/core/plan';
import type { LeftHair, LeftPatch, StripPicture } from '@/core/reading';
import { boxOf, isInside, type Vec } from '@/core/shared';
import { ringCentre, ringPath } from '@/formats/stripsSvg';
import { ARROWS } from '../chart/arrowKeys';
import { Ghost, KeptClear } from '../strips/SheetGround';
import { lying } from '../strips/lying';
import { liesAlong } from '../sheetView';
import { Disc, Patch, wordOf } from './LeftMarks';
import type { ZoneReading } from './useZoneReading';
import styles from './Read.module.css';

interface Props {
  readonly zone: PlanZone;
  readonly off: readonly PlanStrip[];
  readonly chosen: string | null;
  readonly likes: ReadonlyMap<string, StripPicture>;
  readonly table: ZoneReading['table'];
  readonly hairs: readonly LeftHair[];
  readonly patches: readonly LeftPatch[];
  /** The patch that is asked about. */
  readonly asked: LeftPatch | null;
  readonly disabled: boolean;
  readonly onStrip: (id: string) => void;
  readonly onHairs: (hairs: readonly LeftHair[]) => void;
}

/** Room for the words round the zone. */
const PAD_PX = 28;
/** A hair as drawn, and how near a touch must be to take one away, px. */
const HAIR_PX = 11;
const NEAR_PX = 9;
/** A drag sets a hair this often, px; shorter than this it is a touch. */
const EVERY_PX = 14;
const STEP_PX = 12;
const MOST = 400;

const round2 = (x: number): number => Math.round(100 * x) / 100;

/** The strip whose number was touched; null beside all numbers. */
const stripAt = (element: Element): string | null =>
  element.closest('[data-strip]')?.getAttribute('data-strip') ?? null;

/** Width and height of an element, px. */
function useSize(of: { readonly current: Element | null }): readonly [number, number] {
  const [size, setSize] = useState<readonly [number, number]>([480, 340]);
  useEffect(() => {
    if (!of.current) return;
    const watch = new ResizeObserver(([entry]) => {
      const now = entry?.contentRect;
      if (now && now.width > 3 * PAD_PX && now.height > 3 * PAD_PX) setSize([now.width, now.height]);
    });
    watch.observe(of.current);
    return () => watch.disconnect();
  }, [of]);
  return size;
}

/** The zone with its strips as they came off: a touch is a hair that is left, a stroke is hair with its way. */
export function LeftSheet(props: Props) {
  const { zone: planned, off, chosen, likes, table, hairs, patches, asked, disabled } = props;
  const { zone, edges, transform } = lying(planned);
  const box = boxOf([zone.outline]);
  const svg = useRef<SVGSVGElement>(null);
  const [wide, high] = useSize(svg);
  // so that a pixel of what is drawn is one of the screen
  const [w0, h0] = [box.x1 - box.x0, box.y1 - box.y0];
  const unit = Math.max(w0 / (wide - 2 * PAD_PX), h0 / (high - 2 * PAD_PX));
  const [w, h] = [wide * unit, high * unit];
  const [x0, y0] = [box.x0 - (w - w0) / 2, box.y0 - (h - h0) / 2];
  const drag = useRef<Vec[]>([]);
  const touched = useRef<string | null>(null);
  const [at, setAt] = useState<Vec | null>(null);
  const [sheetW, sheetH] = planned.sheetCm;
  const isTurned = liesAlong(sheetW, sheetH);
  // between the sheet and the drawing, where a long zone lies along the table
  const toSheet = ([x, y]: Vec): Vec => (isTurned ? [sheetW - y, x] : [x, y]);
  const toDrawing = ([x, y]: Vec): Vec => (isTurned ? [y, sheetW - x] : [x, y]);
  const wayToSheet = ([x, y]: Vec): Vec => (isTurned ? [0 - y, x] : [x, y]);
  const wayToDrawing = ([x, y]: Vec): Vec => (isTurned ? [y, 0 - x] : [x, y]);
  const placeOf = (e: PointerEvent): Vec => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    const p = matrix ? new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix) : { x: 0, y: 0 };
    return [p.x, p.y];
  };
  const isOn = (p: Vec): boolean => isInside([zone.outline], p);
  const add = (places: readonly Vec[], way: Vec | null): void => {
    if (disabled) return;
    const kind = null;
    const made = places.filter(isOn).map((p): LeftHair => {
      const [x, y] = toSheet(p);
      return { at: [round2(x), round2(y)], way: way ? wayToSheet(way) : null, kind };
    });
    if (made.length > 0) props.onHairs([...hairs, ...made].slice(0, MOST));
  };
  const touch = (p: Vec): void => {
    const near = hairs.findIndex((one) => {
      const [x, y] = toDrawing(one.at);
      return Math.hypot(x - p[0], y - p[1]) < NEAR_PX * unit;
    });
    if (near >= 0 && !disabled) props.onHairs(hairs.filter((_, i) => i !== near));
    else add([p], null);
  };
  const end = (): void => {
    const points = drag.current;
    drag.current = [];
    const [first] = points;
    const last = points.at(-1);
    if (!first || !last) return;
    const length = Math.hypot(last[0] - first[0], last[1] - first[1]);
    if (length < EVERY_PX * unit) return touched.current === null ? touch(first) : props.onStrip(touched.current);
    const way: Vec = [round2((last[0] - first[0]) / length), round2((last[1] - first[1]) / length)];
    const n = Math.min(20, Math.max(1, Math.round(length / (EVERY_PX * unit))));
    add(
      Array.from({ length: n }, (_, i): Vec => {
        const k = (i + 0.5) / n;
        return [first[0] + k * (last[0] - first[0]), first[1] + k * (last[1] - first[1])];
      }),
      way,
    );
  };
  const keyed = (e: KeyboardEvent): void => {
    const arrow = ARROWS[e.key];
    const now: Vec = at ?? ringCentre(zone.outline);
    if (arrow) {
      e.preventDefault();
      setAt([now[0] + arrow[0] * STEP_PX * unit, now[1] + arrow[1] * STEP_PX * unit]);
    } else if (e.key === 'Enter' && !disabled) {
      e.preventDefault();
      touch(now);
    }
  };
  const covered = new Set(zone.strips.flatMap((s) => s.over ?? []));
  const isOff = new Set(off.map((s) => s.id));
  return (
    <svg
      ref={svg}
      viewBox={`${x0} ${y0} ${w} ${h}`}
      className={styles.left}
      tabIndex={0}
      role="application"
      aria-label={`${ZONES[zone.zone].name}: touch what is left. Arrow keys move, Enter sets a hair or takes it away.`}
      onPointerDown={(e) => {
        if (e.button !== 0) return;
        e.currentTarget.setPointerCapture(e.pointerId);
        drag.current = [placeOf(e)];
        touched.current = e.target instanceof Element ? stripAt(e.target) : null;
      }}
      onPointerMove={(e) => {
        if (drag.current.length > 0) drag.current.push(placeOf(e));
      }}
      onPointerUp={end}
      onPointerCancel={() => (drag.current = [])}
      onKeyDown={keyed}
      onBlur={() => setAt(null)}
    >
      <g transform={transform}>
        <Ghost zone={planned} unit={unit} />
      </g>
      <path d={ringPath(zone.outline)} fill="var(--skin)" stroke="var(--hairline-strong)" strokeWidth={1.5 * unit} />
      {zone.strips
        .filter((s) => !covered.has(s.id))
        .map((s) => (
          <path
            key={s.id}
            d={ringPath(s.outline)}
            fill={s.id === chosen ? 'var(--wax-tint)' : 'none'}
            stroke={s.id === chosen ? 'var(--walnut)' : 'var(--hairline-strong)'}
            strokeWidth={(s.id === chosen ? 2 : 1.3) * unit}
            strokeDasharray={`${3 * unit} ${4 * unit}`}
          />
        ))}
      <KeptClear zone={zone} unit={unit} />
      {patches.map((p) => (
        <Patch
          key={p.hairs.join()}
          patch={p}
          at={toDrawing(p.middle)}
          unit={unit}
          view={[x0, y0, w, h]}
          isAsked={p === asked}
        />
      ))}
      {hairs.map((one, i) => {
        const [x, y] = toDrawing(one.at);
        const [dx, dy] = wayToDrawing(one.way ?? [0.35, 0.94]);
        const half = 0.5 * HAIR_PX * unit;
        return (
          <path
            key={i}
            d={`M${x - dx * half} ${y - dy * half}L${x + dx * half} ${y + dy * half}`}
            stroke="var(--walnut)"
            strokeWidth={2.6 * unit}
            strokeLinecap="round"
          />
        );
      })}
      {zone.strips
        .filter((s) => !covered.has(s.id))
        .map((s) => (
          <Disc
            key={s.id}
            strip={s}
            unit={unit}
            isChosen={s.id === chosen}
            isOff={isOff.has(s.id)}
            word={wordOf(s.id, likes, table)}
            onChoose={() => props.onStrip(s.id)}
          />
        ))}
      {at ? (
        <circle cx={at[0]} cy={at[1]} r={7 * unit} fill="none" stroke="var(--walnut)" strokeWidth={2.5 * unit} />
      ) : null}
      <g
        fontSize={15 * unit}
        fill="var(--second-ink)"
        stroke="var(--sheet)"
        strokeWidth={4 * unit}
        paintOrder="stroke"
        textAnchor="middle"
        aria-hidden="true"
      >
        <text x={x0 + w / 2} y={box.y0 - 9 * unit}>
          {edges.up}
        </text>
        <text x={x0 + w / 2} y={box.y1 + 19 * unit}>
          {edges.down}
        </text>
        <text transform={`translate(${box.x0 - 11 * unit} ${y0 + h / 2}) rotate(-90)`}>{edges.left}</text>
        <text transform={`translate(${box.x1 + 11 * unit} ${y0 + h / 2}) rotate(90)`}>{edges.right}</text>
      </g>
    </svg>
  );
}

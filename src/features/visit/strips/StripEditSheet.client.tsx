'use client';

import { useRef, useSyncExternalStore, type KeyboardEvent, type PointerEvent } from 'react';
import { ZONES } from '@/core/anatomy';
import type { PlanZone } from '@/core/plan';
import { boxOf, type Ring, type Vec } from '@/core/shared';
import { ringCentre, ringPath } from '@/formats/stripsSvg';
import type { ChartData } from '@/server/db/schema';
import type { LaidStrip, StripsAnswer } from '@/workers/strips.worker';
import type { StripsController } from './stripsController';
import { Hairs } from './SheetGround';
import styles from './Strips.module.css';

const NUDGE_CM = 0.2;
const ARROWS: Readonly<Record<string, Vec>> = {
  ArrowUp: [0, -NUDGE_CM],
  ArrowDown: [0, NUDGE_CM],
  ArrowLeft: [-NUDGE_CM, 0],
  ArrowRight: [NUDGE_CM, 0],
};
const MARGIN_CM = 1.4;

interface SheetProps {
  readonly zone: PlanZone;
  readonly data: ChartData;
  readonly controller: StripsController;
  readonly answer: StripsAnswer | null;
}

/** Width of a strip's line on the screen. */
function lineWidth(isChosen: boolean, isBroken: boolean): number {
  if (isChosen) return 3.5;
  return isBroken ? 2.5 : 1.5;
}

/** The sheet on which strips are changed by pointer and by arrow keys; the controller decides what a gesture does. */
export function StripEditSheet({ zone, data, controller, answer }: SheetProps) {
  const state = useSyncExternalStore(controller.subscribe, controller.state, controller.state);
  const dispatch = controller.send;
  const svg = useRef<SVGSVGElement>(null);
  const box = boxOf([zone.outline]);
  const [x0, y0] = [Math.min(0, box.x0) - MARGIN_CM, Math.min(0, box.y0) - MARGIN_CM];
  const [w, h] = [
    Math.max(zone.sheetCm[0], box.x1) + MARGIN_CM - x0,
    Math.max(zone.sheetCm[1], box.y1) + MARGIN_CM - y0,
  ];
  const unit = Math.max(w / 700, h / 400);
  const at = (e: PointerEvent): Vec => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return [0, 0];
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix.inverse());
    return [p.x, p.y];
  };
  const down = (e: PointerEvent<SVGSVGElement>): void => {
    if (e.button !== 0) return;
    e.currentTarget.setPointerCapture(e.pointerId);
    dispatch({ kind: 'down', at: at(e) });
  };
  const keys = (e: KeyboardEvent): void => {
    const by = ARROWS[e.key];
    if (!by) return;
    e.preventDefault();
    dispatch({ kind: 'nudge', by });
  };
  const broken = new Set(
    answer?.faults.flatMap((f) =>
      f.strip === null ? [] : [answer.strips.find((s) => s.id === f.strip)?.from ?? -1],
    ) ?? [],
  );
  const laidOf = (index: number): LaidStrip | undefined => answer?.strips.find((s) => s.from === index);
  return (
    <svg
      ref={svg}
      viewBox={`${x0} ${y0} ${w} ${h}`}
      className={styles.editSheet}
      role="application"
      tabIndex={0}
      aria-label={`${ZONES[zone.zone].name}: drag to change strips; arrow keys move the chosen one`}
      onPointerDown={down}
      onPointerMove={(e) => dispatch({ kind: 'move', at: at(e) })}
      onPointerUp={(e) => dispatch({ kind: 'up', at: at(e) })}
      onPointerCancel={() => dispatch({ kind: 'cancel' })}
      onKeyDown={keys}
    >
      <path d={ringPath(zone.outline)} fill="var(--skin)" stroke="var(--hairline-strong)" strokeWidth={1.5 * unit} />
      <Hairs zone={zone} data={data} unit={unit} />
      {state.strips.map((s, i) => {
        const laid = laidOf(i);
        const centre = ringCentre(laid?.outline ?? s.outline);
        const isChosen = i === state.chosen;
        const shift: Vec =
          state.tool === 'move' && isChosen && state.drag
            ? [
                (state.drag.at(-1)?.[0] ?? 0) - (state.drag[0]?.[0] ?? 0),
                (state.drag.at(-1)?.[1] ?? 0) - (state.drag[0]?.[1] ?? 0),
              ]
            : [0, 0];
        return (
          <g key={i} transform={shift[0] || shift[1] ? `translate(${shift[0]} ${shift[1]})` : undefined}>
            <path
              d={ringPath(s.outline)}
              data-strip={i}
              fill="var(--wax)"
              fillOpacity={isChosen ? 0.5 : 0.2}
              stroke={broken.has(i) ? 'var(--madder)' : 'var(--wax-dark)'}
              strokeWidth={lineWidth(isChosen, broken.has(i)) * unit}
              {...(broken.has(i) ? { strokeDasharray: `${7 * unit} ${4 * unit}` } : {})}
            />
            {laid ? <Way laid={laid} unit={unit} /> : null}
            <text
              x={centre[0]}
              y={centre[1] + 7 * unit}
              textAnchor="middle"
              fontSize={20 * unit}
              fontWeight="700"
              fill="var(--walnut)"
              stroke="var(--sheet)"
              strokeWidth={3.5 * unit}
              paintOrder="stroke"
              style={{ pointerEvents: 'none' }}
            >
              {laid?.order ?? ''}
              {broken.has(i) ? <tspan fill="var(--madder)"> !</tspan> : null}
            </text>
          </g>
        );
      })}
      {zone.excluded.map((e) => (
        <circle
          key={e.at.join()}
          cx={e.at[0]}
          cy={e.at[1]}
          r={e.clearanceMm / 10}
          fill="var(--sheet)"
          stroke="var(--madder)"
          strokeWidth={2 * unit}
          strokeDasharray={`${5 * unit} ${4 * unit}`}
        />
      ))}
      {state.drag && state.tool !== 'move' ? (
        <polyline
          points={state.drag.map((p) => p.join()).join(' ')}
          fill="none"
          stroke="var(--madder)"
          strokeWidth={3 * unit}
          strokeLinecap="round"
          strokeDasharray={state.tool === 'cut' ? `${8 * unit} ${5 * unit}` : undefined}
        />
      ) : null}
    </svg>
  );
}

/** Tab and the way of the pull, small. */
function Way({ laid: { tab, pull, tabOn }, unit }: { readonly laid: LaidStrip; readonly unit: number }) {
  const tip: Vec = [tab[0] + pull[0] * 26 * unit, tab[1] + pull[1] * 26 * unit];
  const [nx, ny] = [-pull[1] * 5 * unit, pull[0] * 5 * unit];
  const neck: Vec = [tip[0] - pull[0] * 9 * unit, tip[1] - pull[1] * 9 * unit];
  const colour = tabOn === 'hair' ? 'var(--madder)' : 'var(--verdigris)';
  const head: Ring = [tip, [neck[0] + nx, neck[1] + ny], [neck[0] - nx, neck[1] - ny]];
  return (
    <g style={{ pointerEvents: 'none' }}>
      <line x1={tab[0]} y1={tab[1]} x2={neck[0]} y2={neck[1]} stroke={colour} strokeWidth={2.5 * unit} />
      <path d={ringPath(head)} fill={colour} />
    </g>
  );
}

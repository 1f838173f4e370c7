'use client';

import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { ZONES } from '@/core/anatomy';
import type { Vec } from '@/core/shared';
import { ARROWS } from './arrowKeys';
import { SheetController, type SheetInput } from './sheetController';
import type { View } from '../sheetView';
import styles from './Chart.module.css';

const KEY_STEP_CM = 0.5;

interface Props extends SheetInput {
  /** What lies over the sheet, given how it lies on the page. */
  readonly over?: (view: View) => ReactNode;
  /** Told how the sheet lies within its frame, whenever that changes. */
  readonly onView?: (view: View, frame: HTMLElement) => void;
}

/** The zone's sheet in centimetres with its hair drawn to scale; dragged or keyed to comb, mark and erase. */
export function HairSheet({ over, onView, ...input }: Props) {
  const [view, setView] = useState<View | null>(null);
  const frame = useRef<HTMLDivElement>(null);
  const ground = useRef<HTMLCanvasElement>(null);
  const hairs = useRef<HTMLCanvasElement>(null);
  const top = useRef<HTMLCanvasElement>(null);
  const controller = useRef<SheetController | null>(null);
  const first = useRef(input);
  const told = useRef(onView);
  useEffect(() => {
    if (!frame.current || !ground.current || !hairs.current || !top.current) return;
    const element = frame.current;
    const layers = {
      frame: element,
      ground: ground.current,
      hairs: hairs.current,
      top: top.current,
      onView: (now: View) => {
        setView(now);
        told.current?.(now, element);
      },
    };
    const made = new SheetController(layers, first.current);
    controller.current = made;
    return () => {
      made.dispose();
      controller.current = null;
    };
  }, []);
  useEffect(() => {
    first.current = input;
    told.current = onView;
    controller.current?.take(input);
  });
  const place = (e: PointerEvent): Vec => controller.current?.placeOf(e.clientX, e.clientY) ?? [0, 0];
  return (
    <div ref={frame} className={styles.sheet}>
      <canvas ref={ground} className={styles.layer} aria-hidden="true" />
      <canvas ref={hairs} className={styles.layer} aria-hidden="true" />
      <canvas
        ref={top}
        className={styles.canvas}
        tabIndex={0}
        role="application"
        aria-label={`${ZONES[input.zone.id].name}: hair on a centimetre sheet. Arrow keys move the brush, Shift with an arrow combs that way, Enter sets or erases.`}
        onPointerDown={(e) => {
          if (input.readOnly || e.button !== 0) return;
          e.currentTarget.setPointerCapture(e.pointerId);
          controller.current?.point(place(e));
          controller.current?.feed({ kind: 'down', at: place(e) });
        }}
        onPointerMove={(e) => {
          controller.current?.point(place(e));
          if (controller.current?.isDragging) controller.current.feed({ kind: 'move', at: place(e) });
        }}
        onPointerUp={(e) => controller.current?.feed({ kind: 'up', at: place(e) })}
        onPointerCancel={() => controller.current?.feed({ kind: 'cancel' })}
        onPointerLeave={() => {
          if (!controller.current?.isDragging) controller.current?.point(null);
        }}
        onKeyDown={(e) => controller.current && keyed(e, controller.current, input)}
      />
      {view ? over?.(view) : null}
    </div>
  );
}

/** Arrows move the brush, Shift with an arrow combs that way, Enter sets or erases, Escape takes back. */
function keyed(e: KeyboardEvent, on: SheetController, { held, readOnly }: SheetInput): void {
  if (e.key === 'Escape') return on.feed({ kind: 'cancel' });
  const at = on.brush;
  const arrow = ARROWS[e.key];
  const way = arrow && on.wayOf(arrow);
  const isComb = held.tool === 'comb' || held.tool === 'cross';
  if (way) {
    e.preventDefault();
    if (!e.shiftKey || !isComb || readOnly) {
      return on.point([at[0] + way[0] * KEY_STEP_CM, at[1] + way[1] * KEY_STEP_CM]);
    }
    const back = held.radiusCm * 0.4;
    on.feed({ kind: 'down', at: [at[0] - way[0] * back, at[1] - way[1] * back] });
    on.feed({ kind: 'move', at });
    on.feed({ kind: 'up', at });
  } else if (e.key === 'Enter' && !isComb && !readOnly) {
    e.preventDefault();
    on.feed({ kind: 'down', at });
    on.feed({ kind: 'up', at });
  }
}

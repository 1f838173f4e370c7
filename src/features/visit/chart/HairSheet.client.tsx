'use client';

import {
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
} from 'react';
import { ZONES, type Sheet, type Side, type Zone } from '@/core/anatomy';
import { crossingAt, exclusionOf, growthAt, liveField } from '@/core/field';
import { regionArea, type Vec } from '@/core/shared';
import type { ChartHair } from '@/server/db/schema';
import { plantHair } from './hairs';
import { stepTool, type SheetContent, type ToolEvent, type ToolState } from './combTool';
import { drawBrush, drawMarks, layer, pageColours, paintGround, paintHair, type View } from './sheetPainter';
import styles from './Chart.module.css';

export interface HairSheetProps {
  readonly zone: Zone;
  readonly side: Side;
  readonly sheet: Sheet;
  readonly hair: ChartHair;
  readonly content: SheetContent;
  /** What the hand holds. */
  readonly held: Omit<ToolState, 'drag'>;
  readonly readOnly: boolean;
  /** A gesture is done: what it was before, and what it is now. */
  readonly onDone: (before: SheetContent, after: SheetContent) => void;
}

const MARGIN_CM = 0.9;
const KEY_STEP_CM = 0.5;
const ARROWS: Readonly<Record<string, Vec>> = {
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
};

/**
 * The zone's sheet in centimetres with its hair drawn to scale; dragged or keyed to comb, mark and erase. A drag is
 * worked off once a frame beside React: the field follows by what changed, and only the layers concerned are drawn
 * again.
 */
export function HairSheet({ zone, side, sheet, hair, content, held, readOnly, onDone }: HairSheetProps) {
  const ground = useRef<HTMLCanvasElement>(null);
  const hairs = useRef<HTMLCanvasElement>(null);
  const top = useRef<HTMLCanvasElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 640, height: 420 });
  const machine = useRef<ToolState>({ ...held, drag: null });
  const cursor = useRef<Vec | null>(null);
  /** What the hand has made so far and React does not know yet. */
  const draft = useRef<SheetContent | null>(null);
  const queue = useRef<ToolEvent[]>([]);
  const ticking = useRef(0);
  const view = useMemo((): View => {
    const pxPerCm = Math.min(
      size.width / (sheet.widthCm + 2 * MARGIN_CM),
      size.height / (sheet.heightCm + 2 * MARGIN_CM),
    );
    return {
      ...size,
      pxPerCm,
      origin: [(size.width - sheet.widthCm * pxPerCm) / 2, (size.height - sheet.heightCm * pxPerCm) / 2],
    };
  }, [size, sheet]);
  const live = useMemo(() => liveField(zone, side, sheet), [zone, side, sheet]);
  const area = useMemo(() => regionArea([sheet.outline]), [sheet]);
  const hairOf = useMemo(
    () =>
      plantHair(
        { outline: sheet.outline, excluded: content.marks.map(exclusionOf), areaCm2: area },
        zone,
        hair.density,
      ),
    [sheet, content.marks, area, zone, hair.density],
  );
  const roots = useMemo(() => hairOf(content.densities), [hairOf, content.densities]);
  const latest = useRef({ content, onDone });
  useLayoutEffect(() => {
    latest.current = { content, onDone };
  });
  useEffect(() => {
    machine.current = { ...held, drag: machine.current.drag };
  }, [held]);

  const shown = useCallback((): SheetContent => draft.current ?? latest.current.content, []);
  const paintHairs = useCallback((): void => {
    const now = shown();
    live.put(now.strokes);
    const ctx = layer(hairs.current, view);
    if (ctx) {
      paintHair(
        ctx,
        sheet,
        live.field,
        now.densities === content.densities ? roots : hairOf(now.densities),
        hair,
        view.pxPerCm,
        pageColours(),
      );
    }
  }, [live, shown, view, sheet, roots, hairOf, content.densities, hair]);
  const paintTop = useCallback((): void => {
    const ctx = layer(top.current, view);
    if (!ctx) return;
    const c = pageColours();
    drawMarks(ctx, shown(), view, c.madder, c.ink);
    const { tool, radiusCm, markMm } = machine.current;
    const at = cursor.current;
    if (!at || readOnly) return;
    const way =
      tool === 'comb'
        ? growthAt(live.field, at)
        : tool === 'cross'
          ? (crossingAt(live.field, at)?.towards ?? null)
          : null;
    drawBrush(ctx, at, tool === 'mark' ? markMm / 10 : radiusCm, way, view.pxPerCm, c.wax);
  }, [view, shown, live, readOnly]);

  useEffect(() => {
    const box = frame.current;
    if (!box) return;
    const watch = new ResizeObserver(
      ([entry]) =>
        entry &&
        setSize({ width: Math.max(240, entry.contentRect.width), height: Math.max(260, entry.contentRect.height) }),
    );
    watch.observe(box);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    const ctx = layer(ground.current, view);
    if (ctx) paintGround(ctx, zone, side, sheet, view, pageColours());
  }, [zone, side, sheet, view]);
  // what React now knows replaces the draft, unless a hand is still on it
  useEffect(() => {
    if (!machine.current.drag) draft.current = null;
  }, [content]);
  useEffect(() => {
    paintHairs();
    paintTop();
  }, [paintHairs, paintTop, content, held]);

  const step = useCallback(
    (event: ToolEvent): void => {
      const now = shown();
      const next = stepTool(machine.current, now, event, live.field, sheet);
      machine.current = next.state;
      if (next.content !== now) {
        draft.current = next.content;
        live.put(next.content.strokes);
      }
      if (event.kind === 'cancel') draft.current = null;
      if (next.finished) latest.current.onDone(next.finished, next.content);
    },
    [shown, live, sheet],
  );
  const tick = useCallback((): void => {
    ticking.current = 0;
    const before = shown();
    for (const event of queue.current.splice(0)) step(event);
    if (shown() !== before) paintHairs();
    paintTop();
  }, [shown, step, paintHairs, paintTop]);
  /** Moves wait for the next frame; what begins or ends a gesture is done at once, after the moves before it. */
  const feed = (event: ToolEvent): void => {
    queue.current.push(event);
    if (event.kind !== 'move') {
      cancelAnimationFrame(ticking.current);
      tick();
    } else if (ticking.current === 0) ticking.current = requestAnimationFrame(tick);
  };
  const point = (at: Vec | null): void => {
    cursor.current = at;
    if (ticking.current === 0) ticking.current = requestAnimationFrame(tick);
  };
  useEffect(
    () => () => {
      cancelAnimationFrame(ticking.current);
      ticking.current = 0;
    },
    [tick],
  );

  const place = (e: PointerEvent<HTMLCanvasElement>): Vec => {
    const box = e.currentTarget.getBoundingClientRect();
    const clampTo = (v: number, most: number): number => Math.min(most, Math.max(0, v));
    return [
      clampTo((e.clientX - box.left - view.origin[0]) / view.pxPerCm, sheet.widthCm),
      clampTo((e.clientY - box.top - view.origin[1]) / view.pxPerCm, sheet.heightCm),
    ];
  };
  const onKey = (e: KeyboardEvent<HTMLCanvasElement>): void => {
    if (e.key === 'Escape') return feed({ kind: 'cancel' });
    const { tool, radiusCm } = held;
    const at = cursor.current ?? [sheet.widthCm / 2, sheet.heightCm / 2];
    const way = ARROWS[e.key];
    if (way) {
      e.preventDefault();
      const to: Vec = [
        Math.min(sheet.widthCm, Math.max(0, at[0] + way[0] * KEY_STEP_CM)),
        Math.min(sheet.heightCm, Math.max(0, at[1] + way[1] * KEY_STEP_CM)),
      ];
      if (e.shiftKey && (tool === 'comb' || tool === 'cross') && !readOnly) {
        feed({ kind: 'down', at: [at[0] - way[0] * radiusCm * 0.4, at[1] - way[1] * radiusCm * 0.4] });
        feed({ kind: 'move', at });
        feed({ kind: 'up', at });
      } else point(to);
    } else if (e.key === 'Enter' && (tool === 'mark' || tool === 'erase' || tool === 'density') && !readOnly) {
      e.preventDefault();
      feed({ kind: 'down', at });
      feed({ kind: 'up', at });
    }
  };
  return (
    <div ref={frame} className={styles.sheet}>
      <canvas
        ref={ground}
        className={styles.layer}
        style={{ width: size.width, height: size.height }}
        aria-hidden="true"
      />
      <canvas
        ref={hairs}
        className={styles.layer}
        style={{ width: size.width, height: size.height }}
        aria-hidden="true"
      />
      <canvas
        ref={top}
        className={styles.canvas}
        tabIndex={0}
        role="application"
        data-px-per-cm={view.pxPerCm}
        data-origin={view.origin.join(',')}
        data-hairs={roots.length}
        aria-label={`${ZONES[zone.id].name}: hair on a centimetre sheet. Arrow keys move the brush, Shift with an arrow combs that way, Enter sets or erases.`}
        style={{ width: size.width, height: size.height }}
        onPointerDown={(e) => {
          if (readOnly || e.button !== 0) return;
          e.currentTarget.setPointerCapture(e.pointerId);
          cursor.current = place(e);
          feed({ kind: 'down', at: place(e) });
        }}
        onPointerMove={(e) => {
          if (machine.current.drag) {
            cursor.current = place(e);
            feed({ kind: 'move', at: place(e) });
          } else point(place(e));
        }}
        onPointerUp={(e) => feed({ kind: 'up', at: place(e) })}
        onPointerCancel={() => feed({ kind: 'cancel' })}
        onPointerLeave={() => {
          if (!machine.current.drag) point(null);
        }}
        onKeyDown={onKey}
      />
    </div>
  );
}

'use client';

import { useEffect, useMemo, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import type { Practised } from '@/core/practice';
import type { Side, ZoneId } from '@/core/anatomy';
import type { Ring, Vec } from '@/core/shared';
import { usePageColours } from '@/ui/usePageColours';
import { edgesAlong, edgeWords } from '../visit/edgeWords';
import { liesAlong, toPicture, toSheet, type View } from '../visit/sheetView';
import { paintSkin } from './skinPainter';
import styles from './Practice.module.css';

export interface Drawn {
  readonly view: View;
  readonly path: (ring: Ring) => string;
  readonly at: (place: Vec) => Vec;
}

export interface Stroke {
  readonly from: Vec;
  readonly to: Vec;
  /** Way of the stroke, place by place. */
  readonly places: readonly Vec[];
}

interface Props {
  readonly answer: Practised;
  readonly zone: ZoneId;
  readonly side: Side;
  readonly coarseness: number;
  readonly revealed: ReadonlySet<number> | null;
  readonly signs: boolean;
  readonly asks: number | null;
  /** What the picture is, for who cannot see it. */
  readonly label: string;
  /** The stroke under way; null when the finger is lifted or nothing may be drawn. */
  readonly onMove?: ((stroke: Stroke) => void) | undefined;
  readonly onEnd?: ((stroke: Stroke) => void) | undefined;
  /** The stroke was taken away by the system. */
  readonly onCancel?: (() => void) | undefined;
  readonly children?: ((drawn: Drawn) => ReactNode) | undefined;
}

const MARGIN_PX = 26;

function viewOf(width: number, height: number, [w, h]: readonly [number, number]): View {
  const along = liesAlong(w, h);
  const [across, down] = along ? [h, w] : [w, h];
  const px = Math.min((width - 2 * MARGIN_PX) / across, (height - 2 * MARGIN_PX) / down);
  const origin: Vec = [(width - across * px) / 2, (height - down * px) / 2];
  return { width, height, pxPerCm: px, origin, alongCm: along ? w : null };
}

/** The skin, drawn to fit its place; strokes of the finger come out in sheet centimetres. */
export function SkinSheet(props: Props) {
  const { answer, zone, side, coarseness, revealed, signs, asks, label, onMove, onEnd, onCancel, children } = props;
  const holder = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const places = useRef<Vec[] | null>(null);
  const [size, setSize] = useState<readonly [number, number] | null>(null);
  const colours = usePageColours();
  useEffect(() => {
    const box = holder.current;
    if (!box) return undefined;
    const watch = new ResizeObserver(() => setSize([box.clientWidth, box.clientHeight]));
    watch.observe(box);
    return () => watch.disconnect();
  }, []);
  const [w, h] = answer.sheetCm;
  const view = useMemo(() => (size && size[0] > 40 ? viewOf(size[0], size[1], [w, h]) : null), [size, w, h]);
  useEffect(() => {
    const ctx = canvas.current?.getContext('2d');
    if (!ctx || !canvas.current || !view) return;
    const scale = window.devicePixelRatio || 1;
    canvas.current.width = view.width * scale;
    canvas.current.height = view.height * scale;
    ctx.setTransform(scale, 0, 0, scale, 0, 0);
    paintSkin(ctx, { answer, view, colours, revealed, signs, asks, coarseness });
    // a stroke under way is drawn over it, not with it
  }, [answer, view, colours, revealed, signs, asks, coarseness]);
  const strokeAt = (event: PointerEvent): Stroke | null => {
    const box = holder.current?.getBoundingClientRect();
    if (!places.current || !box || !view) return null;
    places.current.push(toSheet(view, [event.clientX - box.left, event.clientY - box.top]));
    const [from] = places.current;
    const to = places.current.at(-1);
    return from && to ? { from, to, places: places.current } : null;
  };
  const down = (event: PointerEvent): void => {
    if (!onEnd) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    places.current = [];
    const stroke = strokeAt(event);
    if (stroke) onMove?.(stroke);
  };
  const move = (event: PointerEvent): void => {
    const stroke = strokeAt(event);
    if (stroke) onMove?.(stroke);
  };
  const up = (event: PointerEvent): void => {
    const stroke = strokeAt(event);
    places.current = null;
    if (stroke) onEnd?.(stroke);
  };
  const words = edgeWords(zone, side);
  const edges = view?.alongCm === null ? words : edgesAlong(words);
  const drawn = view && {
    view,
    at: (place: Vec) => toPicture(view, place),
    path: (ring: Ring) =>
      `M${ring
        .map((p) =>
          toPicture(view, p)
            .map((x) => x.toFixed(1))
            .join(' '),
        )
        .join('L')}Z`,
  };
  return (
    <div
      ref={holder}
      className={styles.sheet}
      data-draws={onEnd !== undefined}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={() => {
        places.current = null;
        onCancel?.();
      }}
    >
      <canvas ref={canvas} role="img" aria-label={label} />
      {(['up', 'down', 'left', 'right'] as const).map((at) => (
        <span key={at} className={styles.edge} data-at={at}>
          {edges[at]}
        </span>
      ))}
      {drawn && children ? (
        <svg aria-hidden viewBox={`0 0 ${drawn.view.width} ${drawn.view.height}`}>
          {children(drawn)}
        </svg>
      ) : null}
    </div>
  );
}

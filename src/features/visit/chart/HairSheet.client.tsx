'use client';

import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { hairsPerCm2, SUBDIVISIONS, ZONES, type Sheet, type Side, type Zone } from '@/core/anatomy';
import { crossingAt, exclusionOf, growthAt, growthField, partingEdges } from '@/core/field';
import { regionArea, type Vec } from '@/core/shared';
import type { ChartHair } from '@/server/db/schema';
import { drawHairs, plantRoots } from './hairs';
import { stepTool, type SheetContent, type ToolEvent, type ToolState } from './combTool';
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
const ARROWS: Readonly<Record<string, Vec>> = { ArrowUp: [0, -1], ArrowDown: [0, 1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] };

/** The zone's sheet in centimetres with its hair drawn to scale; dragged or keyed to comb, mark and erase. */
export function HairSheet({ zone, side, sheet, hair, content, held, readOnly, onDone }: HairSheetProps) {
  const { tool, radiusCm } = held;
  const canvas = useRef<HTMLCanvasElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 640, height: 420 });
  const [draft, setDraft] = useState<SheetContent | null>(null);
  const [cursor, setCursor] = useState<Vec | null>(null);
  const machine = useRef<ToolState>({ ...held, drag: null });
  const shown = draft ?? content;
  const latest = useRef({ shown, content });
  useEffect(() => { latest.current = { shown, content }; });
  useEffect(() => { machine.current = { ...held, drag: machine.current.drag }; }, [held]);
  const field = useMemo(() => growthField(zone, side, sheet, shown.strokes), [zone, side, sheet, shown.strokes]);
  const exclusions = useMemo(() => shown.marks.map(exclusionOf), [shown.marks]);
  const area = useMemo(() => regionArea([sheet.outline]), [sheet]);
  const roots = useMemo(() => plantRoots(sheet.outline, exclusions, area, hairsPerCm2(zone.hairsPerCm2, hair.density)), [sheet, exclusions, area, zone, hair.density]);
  const pxPerCm = Math.min(size.width / (sheet.widthCm + 2 * MARGIN_CM), size.height / (sheet.heightCm + 2 * MARGIN_CM));
  const origin: Vec = [(size.width - sheet.widthCm * pxPerCm) / 2, (size.height - sheet.heightCm * pxPerCm) / 2];

  useEffect(() => {
    const box = frame.current;
    if (!box) return;
    const watch = new ResizeObserver(([entry]) => entry && setSize({ width: Math.max(240, entry.contentRect.width), height: Math.max(260, entry.contentRect.height) }));
    watch.observe(box);
    return () => watch.disconnect();
  }, []);

  useEffect(() => {
    const element = canvas.current;
    const ctx = element?.getContext('2d');
    if (!element || !ctx) return;
    const ratio = Math.min(2, window.devicePixelRatio || 1);
    element.width = size.width * ratio;
    element.height = size.height * ratio;
    ctx.setTransform(ratio, 0, 0, ratio, origin[0] * ratio, origin[1] * ratio);
    const css = getComputedStyle(document.documentElement);
    const colour = (name: string): string => css.getPropertyValue(name).trim();
    drawGrid(ctx, sheet, pxPerCm, colour('--hairline'), colour('--second-ink'));
    ctx.beginPath();
    sheet.outline.forEach(([x, y], i) => (i === 0 ? ctx.moveTo(x * pxPerCm, y * pxPerCm) : ctx.lineTo(x * pxPerCm, y * pxPerCm)));
    ctx.closePath();
    ctx.fillStyle = '#fbf4e6';
    ctx.fill();
    ctx.strokeStyle = colour('--hairline-strong');
    ctx.lineWidth = 1.5;
    ctx.stroke();
    ctx.save();
    ctx.clip();
    ctx.setLineDash([7, 6]);
    ctx.strokeStyle = colour('--wax-dark');
    ctx.lineWidth = 2;
    ctx.beginPath();
    for (const e of partingEdges(field)) {
      ctx.moveTo(e.from[0] * pxPerCm, e.from[1] * pxPerCm);
      ctx.lineTo(e.to[0] * pxPerCm, e.to[1] * pxPerCm);
    }
    ctx.stroke();
    ctx.restore();
    ctx.setLineDash([]);
    drawPlaces(ctx, zone, side, sheet, pxPerCm, origin, colour('--hairline-strong'), colour('--second-ink'));
    drawHairs(ctx, roots, field, hair, pxPerCm, colour('--walnut'));
    drawMarks(ctx, shown, pxPerCm, colour('--madder'), colour('--walnut'));
    if (cursor && !readOnly) drawBrush(ctx, cursor, tool === 'mark' ? held.markMm / 10 : radiusCm, tool === 'comb' ? growthAt(field, cursor) : tool === 'cross' ? (crossingAt(field, cursor)?.towards ?? null) : null, pxPerCm, colour('--wax'));
  });

  const feed = (event: ToolEvent): void => {
    const { shown: now } = latest.current;
    const next = stepTool(machine.current, now, event, growthField(zone, side, sheet, now.strokes), sheet);
    machine.current = next.state;
    if (next.content !== now) {
      latest.current = { ...latest.current, shown: next.content };
      setDraft(next.content);
    }
    if (event.kind === 'cancel') setDraft(null);
    if (next.finished) {
      onDone(next.finished, next.content);
      setDraft(null);
    }
  };
  const place = (e: PointerEvent<HTMLCanvasElement>): Vec => {
    const box = e.currentTarget.getBoundingClientRect();
    const clampTo = (v: number, most: number): number => Math.min(most, Math.max(0, v));
    return [clampTo((e.clientX - box.left - origin[0]) / pxPerCm, sheet.widthCm), clampTo((e.clientY - box.top - origin[1]) / pxPerCm, sheet.heightCm)];
  };
  const onKey = (e: KeyboardEvent<HTMLCanvasElement>): void => {
    if (e.key === 'Escape') return feed({ kind: 'cancel' });
    const at = cursor ?? [sheet.widthCm / 2, sheet.heightCm / 2];
    const way = ARROWS[e.key];
    if (way) {
      e.preventDefault();
      const to: Vec = [Math.min(sheet.widthCm, Math.max(0, at[0] + way[0] * KEY_STEP_CM)), Math.min(sheet.heightCm, Math.max(0, at[1] + way[1] * KEY_STEP_CM))];
      if (e.shiftKey && (tool === 'comb' || tool === 'cross') && !readOnly) {
        feed({ kind: 'down', at: [at[0] - way[0] * radiusCm * 0.4, at[1] - way[1] * radiusCm * 0.4] });
        feed({ kind: 'move', at });
        feed({ kind: 'up', at });
      } else setCursor(to);
    } else if (e.key === 'Enter' && (tool === 'mark' || tool === 'erase') && !readOnly) {
      e.preventDefault();
      feed({ kind: 'down', at });
      feed({ kind: 'up', at });
    }
  };
  return (
    <div ref={frame} className={styles.sheet}>
      <canvas
        ref={canvas} className={styles.canvas} tabIndex={0} role="application" data-px-per-cm={pxPerCm} data-origin={origin.join(',')}
        aria-label={`${ZONES[zone.id].name}: hair on a centimetre sheet. Arrow keys move the brush, Shift with an arrow combs that way, Enter sets or erases.`}
        style={{ width: size.width, height: size.height }}
        onPointerDown={(e) => { if (readOnly || e.button !== 0) return; e.currentTarget.setPointerCapture(e.pointerId); setCursor(place(e)); feed({ kind: 'down', at: place(e) }); }}
        onPointerMove={(e) => { setCursor(place(e)); if (machine.current.drag) feed({ kind: 'move', at: place(e) }); }}
        onPointerUp={(e) => feed({ kind: 'up', at: place(e) })}
        onPointerCancel={() => feed({ kind: 'cancel' })} onPointerLeave={() => { if (!machine.current.drag) setCursor(null); }}
        onKeyDown={onKey}
      />
    </div>
  );
}

/** The font of the page, whose name the build makes. */
const bodyFont = (): string => getComputedStyle(document.body).fontFamily;

function drawGrid(ctx: CanvasRenderingContext2D, sheet: Sheet, px: number, line: string, ink: string): void {
  ctx.strokeStyle = line;
  ctx.lineWidth = 1;
  const step = sheet.heightCm > 20 ? 5 : 1;
  ctx.beginPath();
  for (let x = 0; x <= sheet.widthCm; x += step) { ctx.moveTo(x * px, -6); ctx.lineTo(x * px, sheet.heightCm * px + 6); }
  for (let y = 0; y <= sheet.heightCm; y += step) { ctx.moveTo(-6, y * px); ctx.lineTo(sheet.widthCm * px + 6, y * px); }
  ctx.stroke();
  ctx.fillStyle = ink;
  ctx.font = `13px ${bodyFont()}`;
  const labels = sheet.heightCm > 20 ? 10 : sheet.heightCm > 4 ? 2 : 1;
  for (let y = 0; y <= sheet.heightCm; y += labels) ctx.fillText(y === 0 ? '0 cm' : String(y), sheet.widthCm * px + 12, y * px + 5);
}

/** Least room beside the sheet in which the names of its parts stand, px. */
const NAME_ROOM = 96;

/** Borders of the zone's parts as dots, their names beside or below the sheet where there is room. */
function drawPlaces(ctx: CanvasRenderingContext2D, zone: Zone, side: Side, sheet: Sheet, px: number, origin: Vec, line: string, ink: string): void {
  const [w, h] = [sheet.widthCm * px, sheet.heightCm * px];
  ctx.font = `13px ${bodyFont()}`;
  ctx.fillStyle = ink;
  ctx.strokeStyle = line;
  ctx.lineWidth = 1;
  ctx.setLineDash([2, 5]);
  ctx.beginPath();
  for (const { name, box: [u0, v0, u1, v1] } of SUBDIVISIONS[zone.id]) {
    const [x0, x1] = side === 'right' ? [(1 - u1) * w, (1 - u0) * w] : [u0 * w, u1 * w];
    if (v1 < 1) { ctx.moveTo(0, v1 * h); ctx.lineTo(w, v1 * h); }
    if (x1 < w - 1) { ctx.moveTo(x1, 0); ctx.lineTo(x1, h); }
    const isRow = u1 - u0 === 1;
    if (isRow && origin[0] > NAME_ROOM) { ctx.textAlign = 'right'; ctx.fillText(name, -10, ((v0 + v1) / 2) * h + 5, origin[0] - 14); }
    if (!isRow && ctx.measureText(name).width < x1 - x0) { ctx.textAlign = 'center'; ctx.fillText(name, (x0 + x1) / 2, h + 18); }
  }
  ctx.stroke();
  ctx.setLineDash([]);
  ctx.textAlign = 'start';
}

function drawMarks(ctx: CanvasRenderingContext2D, content: SheetContent, px: number, ring: string, ink: string): void {
  for (const mark of content.marks) {
    const [x, y] = [mark.at[0] * px, mark.at[1] * px];
    const { clearanceMm } = exclusionOf(mark);
    ctx.fillStyle = '#fffdf8';
    ctx.beginPath();
    ctx.arc(x, y, (clearanceMm / 10) * px, 0, 2 * Math.PI);
    ctx.fill();
    ctx.strokeStyle = ring;
    ctx.setLineDash([5, 4]);
    ctx.lineWidth = 2;
    ctx.stroke();
    ctx.setLineDash([]);
    ctx.fillStyle = ink;
    ctx.beginPath();
    ctx.arc(x, y, Math.max(4, (mark.radiusMm / 10) * px * 0.6), 0, 2 * Math.PI);
    ctx.fill();
    const label = `${mark.kind}${mark.unseen ? '?' : ''}, keep ${Math.round(clearanceMm - mark.radiusMm)} mm`;
    const left = x + (clearanceMm / 10) * px + 6;
    ctx.font = `600 14px ${bodyFont()}`;
    ctx.strokeStyle = '#fffdf8';
    ctx.lineWidth = 5;
    ctx.strokeText(label, left, y + 5);
    ctx.fillStyle = ring;
    ctx.fillText(label, left, y + 5);
  }
}

function drawBrush(ctx: CanvasRenderingContext2D, at: Vec, radiusCm: number, growth: Vec | null, px: number, colour: string): void {
  const [x, y, r] = [at[0] * px, at[1] * px, radiusCm * px];
  ctx.strokeStyle = colour;
  ctx.lineWidth = 2.5;
  ctx.beginPath();
  ctx.arc(x, y, r, 0, 2 * Math.PI);
  if (growth) {
    const [dx, dy] = growth;
    ctx.moveTo(x - dx * r * 0.6, y - dy * r * 0.6);
    ctx.lineTo(x + dx * r * 0.6, y + dy * r * 0.6);
    ctx.lineTo(x + (dx * 0.3 - dy * 0.25) * r, y + (dy * 0.3 + dx * 0.25) * r);
    ctx.moveTo(x + dx * r * 0.6, y + dy * r * 0.6);
    ctx.lineTo(x + (dx * 0.3 + dy * 0.25) * r, y + (dy * 0.3 - dx * 0.25) * r);
  }
  ctx.stroke();
}

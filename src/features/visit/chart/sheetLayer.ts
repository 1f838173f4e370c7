// A layer of the sheet: its axes are the sheet's, however it lies; words stand upright on it.

import type { Sheet } from '@/core/anatomy';
import type { Vec } from '@/core/shared';
import { toPicture, type View } from '../sheetView';

export interface Colours {
  readonly hairline: string;
  readonly strong: string;
  readonly ink: string;
  readonly second: string;
  readonly wax: string;
  readonly waxDark: string;
  readonly madder: string;
  readonly sheet: string;
  readonly skin: string;
  readonly ghost: string;
}

/** The page's colours and text font; read once a drawing, not once a line. */
export function pageColours(): Colours {
  const css = getComputedStyle(document.documentElement);
  const of = (name: string): string => css.getPropertyValue(name).trim();
  return {
    hairline: of('--hairline'),
    strong: of('--hairline-strong'),
    ink: of('--walnut'),
    second: of('--second-ink'),
    wax: of('--wax'),
    waxDark: of('--wax-dark'),
    madder: of('--madder'),
    sheet: of('--sheet'),
    skin: of('--skin'),
    ghost: of('--ghost'),
  };
}

/** A cleared layer whose origin is the sheet's corner, its axes those of the sheet; null before there is one. */
export function layer(canvas: HTMLCanvasElement | null, view: View): CanvasRenderingContext2D | null {
  const ctx = canvas?.getContext('2d');
  if (!canvas || !ctx) return null;
  const ratio = Math.min(2, window.devicePixelRatio || 1);
  const [w, h] = [Math.round(view.width * ratio), Math.round(view.height * ratio)];
  // setting a canvas's size allocates it anew: only where it has changed
  if (canvas.width !== w || canvas.height !== h) [canvas.width, canvas.height] = [w, h];
  ctx.setTransform(1, 0, 0, 1, 0, 0);
  ctx.clearRect(0, 0, w, h);
  const [x, y] = toPicture(view, [0, 0]);
  const [along, ahead] = view.alongCm === null ? [ratio, 0] : [0, ratio];
  ctx.setTransform(along, 0 - ahead, ahead, along, x * ratio, y * ratio);
  return ctx;
}

/** Draws upright at a place of the sheet, px along its own axes, however the sheet lies. */
export function uprightAt(ctx: CanvasRenderingContext2D, view: View, [x, y]: Vec, draw: () => void): void {
  ctx.save();
  ctx.translate(x, y);
  if (view.alongCm !== null) ctx.rotate(Math.PI / 2);
  draw();
  ctx.restore();
}

export function outlinePath(ctx: CanvasRenderingContext2D, sheet: Sheet, px: number): void {
  ctx.beginPath();
  sheet.outline.forEach(([x, y], i) => (i === 0 ? ctx.moveTo(x * px, y * px) : ctx.lineTo(x * px, y * px)));
  ctx.closePath();
}

/** The font of the page, whose name the build makes. */
export const bodyFont = (): string => getComputedStyle(document.body).fontFamily;

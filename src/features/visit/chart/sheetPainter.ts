// What is drawn over the ground of the sheet (sheetGround.ts): partings and hair, on top marks and the brush. Sheet
// centimetres in, pixels out.

import { sized } from '@/formats/size';
import type { Sheet } from '@/core/anatomy';
import { exclusionOf, partingEdges, type GrowthField } from '@/core/field';
import { isInside, type Region, type Vec } from '@/core/shared';
import type { ChartHair } from '@/server/db/schema';
import { toPicture, type View } from '../sheetView';
import type { SheetContent } from './combTool';
import { drawHairs, drawHairsQuickly, type Root } from './hairs';
import { bodyFont, outlinePath, uprightAt, type Colours } from './sheetLayer';

export interface HairToPaint {
  readonly sheet: Sheet;
  readonly field: GrowthField;
  readonly roots: readonly Root[];
  readonly hair: ChartHair;
  /** Hair that goes, in another ink; null where all of it goes. */
  readonly going: Region | null;
  /** The hand is combing. */
  readonly quickly: boolean;
}

export function paintHair(
  ctx: CanvasRenderingContext2D,
  { sheet, field, roots, hair, going, quickly }: HairToPaint,
  pxPerCm: number,
  c: Colours,
): void {
  ctx.save();
  outlinePath(ctx, sheet, pxPerCm);
  ctx.clip();
  ctx.setLineDash([7, 6]);
  ctx.strokeStyle = c.waxDark;
  ctx.lineWidth = 2;
  ctx.beginPath();
  for (const e of partingEdges(field)) {
    ctx.moveTo(e.from[0] * pxPerCm, e.from[1] * pxPerCm);
    ctx.lineTo(e.to[0] * pxPerCm, e.to[1] * pxPerCm);
  }
  ctx.stroke();
  ctx.restore();
  ctx.setLineDash([]);
  const draw = quickly ? drawHairsQuickly : drawHairs;
  if (!going) return draw(ctx, roots, field, hair, pxPerCm, c.ink);
  const goes = roots.map((r) => isInside(going, r.at));
  const those = (which: boolean): readonly Root[] => roots.filter((_, i) => goes[i] === which);
  draw(ctx, those(false), field, hair, pxPerCm, c.ink);
  draw(ctx, those(true), field, hair, pxPerCm, c.madder);
}

export function drawMarks(ctx: CanvasRenderingContext2D, content: SheetContent, view: View, c: Colours): void {
  const [ring, ink] = [c.madder, c.ink];
  const { pxPerCm: px, width } = view;
  for (const mark of content.marks) {
    const [x, y] = [mark.at[0] * px, mark.at[1] * px];
    const { clearanceMm } = exclusionOf(mark);
    ctx.fillStyle = c.sheet;
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
    const label = `${mark.kind}${mark.unseen ? '?' : ''}, keep ${sized(Math.round(clearanceMm - mark.radiusMm), 'mm')}`;
    ctx.font = `600 14px ${bodyFont()}`;
    const beside = (clearanceMm / 10) * px + 6;
    const wide = ctx.measureText(label).width;
    const [onPicture] = toPicture(view, mark.at);
    // beside its ring, or where that would leave the picture under its dot, moved in as far as it must be
    const fits = onPicture + beside + wide < width;
    const left = fits ? beside : Math.min(-wide / 2, width - onPicture - wide - 4);
    const down = fits ? 5 : 26;
    uprightAt(ctx, view, [x, y], () => {
      ctx.strokeStyle = c.sheet;
      ctx.lineWidth = 5;
      ctx.strokeText(label, left, down);
      ctx.fillStyle = ring;
      ctx.fillText(label, left, down);
    });
  }
}

export function drawBrush(
  ctx: CanvasRenderingContext2D,
  at: Vec,
  radiusCm: number,
  growth: Vec | null,
  px: number,
  colour: string,
): void {
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

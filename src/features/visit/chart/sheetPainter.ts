// What is drawn on the three layers of the sheet: below the ground with its grid and the names of its parts, between
// them partings and hair, above marks and the brush. Sheet centimetres in, pixels out.

import { bodyRound, SUBDIVISIONS, type Sheet, type Side, type Zone } from '@/core/anatomy';
import { exclusionOf, partingEdges, type GrowthField } from '@/core/field';
import { isInside, type Region, type Vec } from '@/core/shared';
import type { ChartHair } from '@/server/db/schema';
import { edgeWords } from '../edgeWords';
import type { SheetContent } from './combTool';
import { drawHairs, drawHairsQuickly, type Root } from './hairs';

export interface Colours {
  readonly hairline: string;
  readonly strong: string;
  readonly ink: string;
  readonly second: string;
  readonly wax: string;
  readonly waxDark: string;
  readonly madder: string;
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
  };
}

export interface View {
  readonly width: number;
  readonly height: number;
  readonly pxPerCm: number;
  /** Where the sheet's corner lies, px. */
  readonly origin: Vec;
}

/** A cleared layer whose origin is the sheet's corner; null before there is one. */
export function layer(canvas: HTMLCanvasElement | null, view: View): CanvasRenderingContext2D | null {
  const ctx = canvas?.getContext('2d');
  if (!canvas || !ctx) return null;
  const ratio = Math.min(2, window.devicePixelRatio || 1);
  const [w, h] = [Math.round(view.width * ratio), Math.round(view.height * ratio)];
  // setting a canvas's size allocates it anew: only where it has changed
  if (canvas.width !== w || canvas.height !== h) [canvas.width, canvas.height] = [w, h];
  ctx.setTransform(1, 0, 0, 1, 0, 0);
  ctx.clearRect(0, 0, w, h);
  ctx.setTransform(ratio, 0, 0, ratio, view.origin[0] * ratio, view.origin[1] * ratio);
  return ctx;
}

export function paintGround(
  ctx: CanvasRenderingContext2D,
  zone: Zone,
  side: Side,
  sheet: Sheet,
  view: View,
  c: Colours,
): void {
  drawGrid(ctx, sheet, view, c.hairline, c.second);
  drawBodyRound(ctx, zone, side, sheet, view.pxPerCm);
  outlinePath(ctx, sheet, view.pxPerCm);
  ctx.fillStyle = '#fbf4e6';
  ctx.fill();
  ctx.strokeStyle = c.strong;
  ctx.lineWidth = 1.5;
  ctx.stroke();
  // guides name the places of a brow
  if (!zone.thinned) drawPlaces(ctx, zone, side, sheet, view, c.strong, c.second);
}

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

const GHOST = '#c9bba6';

/** The neighbouring body in one hairline, so that one knows which way up the sheet lies. */
function drawBodyRound(ctx: CanvasRenderingContext2D, zone: Zone, side: Side, sheet: Sheet, px: number): void {
  const round = bodyRound(zone.id, side);
  if (!round) return;
  const [w, h] = [sheet.widthCm * px, sheet.heightCm * px];
  const trace = (rings: readonly (readonly Vec[])[]): void => {
    ctx.beginPath();
    for (const ring of rings) {
      ring.forEach(([u, v], i) => (i === 0 ? ctx.moveTo(u * w, v * h) : ctx.lineTo(u * w, v * h)));
      ctx.closePath();
    }
    ctx.stroke();
  };
  ctx.strokeStyle = GHOST;
  ctx.lineWidth = 1.6;
  trace(round.silhouette);
  ctx.lineWidth = 1;
  ctx.setLineDash([2, 5]);
  trace(round.beside);
  ctx.setLineDash([]);
}

/** What lies beyond each border, in a word; over the hair, which reaches past the sheet. A brow has its own words. */
export function drawEdges(
  ctx: CanvasRenderingContext2D,
  zone: Zone,
  side: Side,
  sheet: Sheet,
  { pxPerCm: px, origin }: View,
  ink: string,
): void {
  const { up, down, left, right } = edgeWords(zone.id, side);
  const [w, h] = [sheet.widthCm * px, sheet.heightCm * px];
  ctx.font = `15px ${bodyFont()}`;
  if (zone.thinned) return;
  ctx.fillStyle = ink;
  ctx.strokeStyle = '#fffdf8';
  ctx.lineWidth = 5;
  const write = (word: string, x: number, y: number): void => {
    ctx.strokeText(word, x, y);
    ctx.fillText(word, x, y);
  };
  ctx.textAlign = 'center';
  write(up, w / 2, -8);
  write(down, w / 2, h + Math.min(20, origin[1] - 4));
  if (origin[0] > NAME_ROOM) {
    ctx.textAlign = 'right';
    write(left, -12, h - 6);
    ctx.textAlign = 'left';
    write(right, w + 12, h - 22);
  }
  ctx.textAlign = 'start';
}

function outlinePath(ctx: CanvasRenderingContext2D, sheet: Sheet, px: number): void {
  ctx.beginPath();
  sheet.outline.forEach(([x, y], i) => (i === 0 ? ctx.moveTo(x * px, y * px) : ctx.lineTo(x * px, y * px)));
  ctx.closePath();
}

/** The font of the page, whose name the build makes. */
const bodyFont = (): string => getComputedStyle(document.body).fontFamily;

/** Least room beside the sheet in which its centimetres stand, px. */
const SCALE_ROOM = 40;

function drawGrid(
  ctx: CanvasRenderingContext2D,
  sheet: Sheet,
  { pxPerCm: px, origin }: View,
  line: string,
  ink: string,
): void {
  ctx.strokeStyle = line;
  ctx.lineWidth = 1;
  const step = sheet.heightCm > 20 ? 5 : 1;
  ctx.beginPath();
  for (let x = 0; x <= sheet.widthCm; x += step) {
    ctx.moveTo(x * px, -6);
    ctx.lineTo(x * px, sheet.heightCm * px + 6);
  }
  for (let y = 0; y <= sheet.heightCm; y += step) {
    ctx.moveTo(-6, y * px);
    ctx.lineTo(sheet.widthCm * px + 6, y * px);
  }
  ctx.stroke();
  if (origin[0] < SCALE_ROOM) return;
  ctx.fillStyle = ink;
  ctx.font = `13px ${bodyFont()}`;
  const small = sheet.heightCm > 4 ? 2 : 1;
  const labels = sheet.heightCm > 20 ? 10 : small;
  for (let y = 0; y <= sheet.heightCm; y += labels) {
    ctx.fillText(y === 0 ? '0 cm' : String(y), sheet.widthCm * px + 12, y * px + 5);
  }
}

/** Least room beside the sheet in which the names of its parts stand, px. */
const NAME_ROOM = 96;

/** Borders of the zone's parts as dots, their names beside or below the sheet where there is room. */
function drawPlaces(
  ctx: CanvasRenderingContext2D,
  zone: Zone,
  side: Side,
  sheet: Sheet,
  { pxPerCm: px, origin }: View,
  line: string,
  ink: string,
): void {
  const [w, h] = [sheet.widthCm * px, sheet.heightCm * px];
  ctx.font = `13px ${bodyFont()}`;
  ctx.fillStyle = ink;
  ctx.strokeStyle = line;
  ctx.lineWidth = 1;
  ctx.setLineDash([2, 5]);
  ctx.beginPath();
  for (const {
    name,
    box: [u0, v0, u1, v1],
  } of SUBDIVISIONS[zone.id]) {
    const [x0, x1] = side === 'right' ? [(1 - u1) * w, (1 - u0) * w] : [u0 * w, u1 * w];
    if (v1 < 1) {
      ctx.moveTo(0, v1 * h);
      ctx.lineTo(w, v1 * h);
    }
    if (x1 < w - 1) {
      ctx.moveTo(x1, 0);
      ctx.lineTo(x1, h);
    }
    const isRow = u1 - u0 === 1;
    if (isRow && origin[0] > NAME_ROOM) {
      ctx.textAlign = 'right';
      ctx.fillText(name, -10, ((v0 + v1) / 2) * h + 5, origin[0] - 14);
    }
    if (!isRow && ctx.measureText(name).width < x1 - x0) {
      ctx.textAlign = 'center';
      ctx.fillText(name, (x0 + x1) / 2, h + 18);
    }
  }
  ctx.stroke();
  ctx.setLineDash([]);
  ctx.textAlign = 'start';
}

export function drawMarks(
  ctx: CanvasRenderingContext2D,
  content: SheetContent,
  { pxPerCm: px, origin, width }: View,
  ring: string,
  ink: string,
): void {
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
    ctx.font = `600 14px ${bodyFont()}`;
    const beside = x + (clearanceMm / 10) * px + 6;
    const wide = ctx.measureText(label).width;
    // beside its ring, or where that would leave the picture under its dot, moved in as far as it must be
    const fits = origin[0] + beside + wide < width;
    const left = fits ? beside : Math.min(x - wide / 2, width - origin[0] - wide - 4);
    const down = y + (fits ? 5 : 26);
    ctx.strokeStyle = '#fffdf8';
    ctx.lineWidth = 5;
    ctx.strokeText(label, left, down);
    ctx.fillStyle = ring;
    ctx.fillText(label, left, down);
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

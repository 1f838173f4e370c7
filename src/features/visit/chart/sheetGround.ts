// What lies under and round the hair of a sheet: its grid, the names of its parts, the neighbouring body, the words at
// its borders. Sheet centimetres in, pixels out.

import { sizeSign, sizeTyped } from '@/formats/size';
import { bodyRound, SUBDIVISIONS, type Sheet, type Side, type Zone } from '@/core/anatomy';
import type { Vec } from '@/core/shared';
import { edgesAlong, edgeWords } from '../edgeWords';
import type { View } from '../sheetView';
import { bodyFont, outlinePath, uprightAt, type Colours } from './sheetLayer';

export function paintGround(
  ctx: CanvasRenderingContext2D,
  zone: Zone,
  side: Side,
  sheet: Sheet,
  view: View,
  c: Colours,
): void {
  drawGrid(ctx, sheet, view, c.hairline, c.second);
  drawBodyRound(ctx, zone, side, sheet, view.pxPerCm, c.ghost);
  outlinePath(ctx, sheet, view.pxPerCm);
  ctx.fillStyle = c.skin;
  ctx.fill();
  ctx.strokeStyle = c.strong;
  ctx.lineWidth = 1.5;
  ctx.stroke();
  // guides name the places of a brow
  if (!zone.thinned) drawPlaces(ctx, zone, side, sheet, view, c.strong, c.second);
}

/** The neighbouring body in one hairline, so that one knows which way up the sheet lies. */
function drawBodyRound(
  ctx: CanvasRenderingContext2D,
  zone: Zone,
  side: Side,
  sheet: Sheet,
  px: number,
  ghost: string,
): void {
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
  ctx.strokeStyle = ghost;
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
  view: View,
  c: Colours,
): void {
  const { origin, alongCm } = view;
  const words = edgeWords(zone.id, side);
  const { up, down, left, right } = alongCm === null ? words : edgesAlong(words);
  const [w, h] = sizeOnPicture(sheet, view);
  ctx.font = `15px ${bodyFont()}`;
  if (zone.thinned) return;
  ctx.fillStyle = c.second;
  ctx.strokeStyle = c.sheet;
  ctx.lineWidth = 5;
  const write = (word: string, x: number, y: number): void => {
    ctx.strokeText(word, x, y);
    ctx.fillText(word, x, y);
  };
  ctx.save();
  toCorner(ctx, view);
  ctx.textAlign = 'center';
  write(up, w / 2, -8);
  write(down, w / 2, h + Math.min(20, origin[1] - 4));
  const isAlong = alongCm !== null;
  // beside a standing sheet there stand the names of its parts too
  if (isAlong || origin[0] > NAME_ROOM) {
    ctx.textAlign = 'right';
    write(left, -12, isAlong ? h / 2 : h - 6);
    ctx.textAlign = 'left';
    write(right, w + 12, isAlong ? h / 2 : h - 22);
  }
  ctx.restore();
}

/** The sheet as it lies on the picture, px wide and high. */
function sizeOnPicture({ widthCm, heightCm }: Sheet, { pxPerCm, alongCm }: View): Vec {
  const [across, down] = alongCm === null ? [widthCm, heightCm] : [heightCm, widthCm];
  return [across * pxPerCm, down * pxPerCm];
}

/** From the sheet's own axes to those of the picture, begun at the upper left corner of the sheet as it lies. */
function toCorner(ctx: CanvasRenderingContext2D, { alongCm, pxPerCm }: View): void {
  if (alongCm === null) return;
  ctx.translate(alongCm * pxPerCm, 0);
  ctx.rotate(Math.PI / 2);
}

/** Least room beside the sheet in which its centimetres stand, px. */
const SCALE_ROOM = 40;

/** Lines of the sheet so far apart, cm, and figures every so many units of the studio's lengths. */
function ruleBeside(heightCm: number): { readonly step: number; readonly label: number; readonly unitCm: number } {
  const unitCm = sizeTyped(1, 'cm');
  if (heightCm > 20) return { step: unitCm === 1 ? 5 : 2 * unitCm, label: unitCm === 1 ? 10 : 4, unitCm };
  return { step: unitCm, label: heightCm > 4 * unitCm ? 2 : 1, unitCm };
}

function drawGrid(ctx: CanvasRenderingContext2D, sheet: Sheet, view: View, line: string, ink: string): void {
  const { pxPerCm: px, origin, alongCm } = view;
  ctx.strokeStyle = line;
  ctx.lineWidth = 1;
  const { step, label, unitCm } = ruleBeside(sheet.heightCm);
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
  if (alongCm === null && origin[0] < SCALE_ROOM) return;
  ctx.fillStyle = ink;
  ctx.font = `13px ${bodyFont()}`;
  for (let k = 0; k * label * unitCm <= sheet.heightCm; k++) {
    const y = k * label * unitCm;
    const word = k === 0 ? `0 ${sizeSign('cm')}` : String(k * label);
    // beside a standing sheet, under one that lies
    if (alongCm === null) ctx.fillText(word, sheet.widthCm * px + 12, y * px + 5);
    else uprightAt(ctx, view, [-18, y * px - 4], () => ctx.fillText(word, 0, 0));
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
  view: View,
  line: string,
  ink: string,
): void {
  const { pxPerCm: px, origin, alongCm } = view;
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
    if (alongCm !== null) {
      // over a sheet that lies
      ctx.textAlign = 'center';
      if (isRow) uprightAt(ctx, view, [w + 10, ((v0 + v1) / 2) * h], () => ctx.fillText(name, 0, 0, (v1 - v0) * h));
      continue;
    }
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

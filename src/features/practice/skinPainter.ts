// The practised skin on a canvas: hair as it stands, stubs where it broke; in the look every hair of the strip with its
// sign. Sheet centimetres in, pixels out.

import type { Practised, SkinHair } from '@/core/practice';
import type { Vec } from '@/core/shared';
import type { PageColours } from '@/ui/usePageColours';
import { toPicture, type View } from '../visit/sheetView';

export interface SkinPicture {
  readonly answer: Practised;
  readonly view: View;
  readonly colours: PageColours;
  /** Hairs whose way is seen; null = of all. The others show as roots only. */
  readonly revealed: ReadonlySet<number> | null;
  /** The last strip's hairs with their signs. */
  readonly signs: boolean;
  /** The hair that is asked about. */
  readonly asks: number | null;
  readonly coarseness: number;
}

const SIGN_PX = 4.5;
const STUB_CM = 0.12;

/** A way of the sheet on the picture. */
const wayOn = (view: View, [x, y]: Vec): Vec => (view.alongCm === null ? [x, y] : [y, 0 - x]);

function stroke(ctx: CanvasRenderingContext2D, view: View, hair: SkinHair, lengthCm: number): void {
  const [x, y] = toPicture(view, hair.at);
  const [dx, dy] = wayOn(view, hair.way);
  const l = lengthCm * view.pxPerCm;
  // now to this side, now to that, as the hair itself has it
  const bow = (hair.hold - 0.5) * 0.5 * l;
  ctx.moveTo(x, y);
  ctx.quadraticCurveTo(x + dx * l * 0.5 - dy * bow, y + dy * l * 0.5 + dx * bow, x + dx * l, y + dy * l);
}

/** One path for all hairs of a kind. */
function strokes(
  ctx: CanvasRenderingContext2D,
  view: View,
  hairs: readonly SkinHair[],
  lengthOf: (hair: SkinHair) => number,
  style: { readonly colour: string; readonly width: number },
): void {
  ctx.strokeStyle = style.colour;
  ctx.lineWidth = style.width;
  ctx.lineCap = 'round';
  ctx.beginPath();
  for (const hair of hairs) stroke(ctx, view, hair, lengthOf(hair));
  ctx.stroke();
}

function rings(ctx: CanvasRenderingContext2D, view: View, hairs: readonly SkinHair[], colour: string): void {
  ctx.strokeStyle = colour;
  ctx.lineWidth = 2;
  ctx.beginPath();
  for (const { at } of hairs) {
    const [x, y] = toPicture(view, at);
    ctx.moveTo(x + SIGN_PX, y);
    ctx.arc(x, y, SIGN_PX, 0, 2 * Math.PI);
  }
  ctx.stroke();
}

/** A stub with a bar across its end. */
function barred(ctx: CanvasRenderingContext2D, view: View, hairs: readonly SkinHair[], colour: string): void {
  ctx.strokeStyle = colour;
  ctx.lineWidth = 2.4;
  ctx.beginPath();
  for (const hair of hairs) {
    const [x, y] = toPicture(view, hair.at);
    const [dx, dy] = wayOn(view, hair.way);
    const [ex, ey] = [x + dx * 8, y + dy * 8];
    ctx.moveTo(x, y);
    ctx.lineTo(ex, ey);
    ctx.moveTo(ex - dy * 5, ey + dx * 5);
    ctx.lineTo(ex + dy * 5, ey - dx * 5);
  }
  ctx.stroke();
}

function ground(ctx: CanvasRenderingContext2D, { answer, view, colours }: SkinPicture): void {
  ctx.beginPath();
  answer.outline.forEach((p, i) => {
    const [x, y] = toPicture(view, p);
    if (i === 0) ctx.moveTo(x, y);
    else ctx.lineTo(x, y);
  });
  ctx.closePath();
  ctx.fillStyle = colours.skin;
  ctx.fill();
  ctx.strokeStyle = colours.ghost;
  ctx.lineWidth = 1.5;
  ctx.stroke();
}

/** The line round what stays. */
function keepLines(ctx: CanvasRenderingContext2D, { answer, view, colours }: SkinPicture): void {
  ctx.strokeStyle = colours.verdigris;
  ctx.lineWidth = 2.5;
  ctx.beginPath();
  for (const ring of answer.keep) {
    ring.forEach((p, i) => {
      const [x, y] = toPicture(view, p);
      if (i === 0) ctx.moveTo(x, y);
      else ctx.lineTo(x, y);
    });
    ctx.closePath();
  }
  ctx.stroke();
}

export function paintSkin(ctx: CanvasRenderingContext2D, picture: SkinPicture): void {
  const { answer, view, colours, revealed, signs, asks } = picture;
  ctx.clearRect(0, 0, view.width, view.height);
  ground(ctx, picture);
  keepLines(ctx, picture);
  const width = Math.max(0.9, (0.35 + 0.17 * picture.coarseness) * Math.min(2, view.pxPerCm / 22));
  const fates = new Map((signs ? (answer.looked?.answer.fates ?? []) : []).map((f) => [f.hair, f.fate]));
  const own = (fate: string): readonly SkinHair[] => answer.hairs.filter((h) => fates.get(h.id) === fate);
  const standing = answer.hairs.filter((h) => answer.state[h.id] === 'standing' && !fates.has(h.id));
  const seen = revealed ? standing.filter((h) => revealed.has(h.id)) : standing;
  const hidden = revealed ? standing.filter((h) => !revealed.has(h.id)) : [];
  // thinner and thicker ones in a path of their own: a width for each hair would cost the frame
  const usualUm = seen.reduce((s, h) => s + h.thicknessUm, 0) / Math.max(1, seen.length);
  for (const [thick, by] of [
    [false, 0.85],
    [true, 1.15],
  ] as const) {
    const own = seen.filter((h) => h.thicknessUm > usualUm === thick);
    strokes(ctx, view, own, (h) => h.lengthMm / 10, { colour: colours.walnut, width: by * width });
  }
  strokes(ctx, view, hidden, () => 0.02, { colour: colours.walnut, width: width * 1.6 });
  const stubs = answer.hairs.filter((h) => answer.state[h.id] === 'stub' && !fates.has(h.id));
  strokes(ctx, view, stubs, () => STUB_CM, { colour: colours.madder, width: width * 1.4 });
  rings(ctx, view, own('out'), colours.verdigris);
  barred(ctx, view, own('broken'), colours.madder);
  strokes(ctx, view, own('left'), (h) => Math.max(0.4, h.lengthMm / 10), {
    colour: colours.walnut,
    width: Math.max(2.4, width * 1.8),
  });
  const asked = asks === null ? undefined : answer.hairs[asks];
  if (asked) {
    const [x, y] = toPicture(view, asked.at);
    ctx.strokeStyle = colours.walnut;
    ctx.lineWidth = 2.5;
    ctx.beginPath();
    ctx.arc(x, y, 13, 0, 2 * Math.PI);
    ctx.stroke();
  }
}

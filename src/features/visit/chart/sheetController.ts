// The sheet under the hand, outside React: it owns the three layers, what the hand is doing and what it has made so
// far. The page hands it what is known (`take`) and hears of finished gestures; a drag is worked off once a frame, the
// field follows by what changed, and only the layers concerned are drawn again.

import { standingShare, type Sheet, type Side, type Zone } from '@/core/anatomy';
import { crossingAt, exclusionOf, growthAt, liveField, type LiveField } from '@/core/field';
import { regionArea, type Region, type Vec } from '@/core/shared';
import type { ChartHair } from '@/server/db/schema';
import { onRoom } from '@/ui/room';
import { stepTool, type SheetContent, type ToolEvent, type ToolState } from './combTool';
import { plantHair, type Root } from './hairs';
import { drawEdges, paintGround } from './sheetGround';
import { layer, pageColours } from './sheetLayer';
import { drawBrush, drawMarks, paintHair } from './sheetPainter';
import { liesAlong, toSheet, wayToSheet, type View } from '../sheetView';

/** What the page knows of the sheet. */
export interface SheetInput {
  readonly zone: Zone;
  readonly side: Side;
  readonly sheet: Sheet;
  readonly hair: ChartHair;
  readonly content: SheetContent;
  /** What the hand holds. */
  readonly held: Omit<ToolState, 'drag'>;
  readonly readOnly: boolean;
  /** Hair that goes, drawn in another ink than what stays; null where all of it goes. */
  readonly going: Region | null;
  /** A gesture is done: what it was before, and what it is now. */
  readonly onDone: (before: SheetContent, after: SheetContent) => void;
}

export interface SheetLayers {
  /** The box that the layers fill. */
  readonly frame: HTMLElement;
  readonly ground: HTMLCanvasElement;
  readonly hairs: HTMLCanvasElement;
  readonly top: HTMLCanvasElement;
  /** Told how the sheet lies on the layers, whenever that changes. */
  readonly onView: (view: View) => void;
}

/** Room round the sheet for the words at its edges; a brow has its own words on the skin round it. */
const MARGIN_PX = 28;
const BROW_MARGIN_PX = 12;
/** Beside a sheet that lies: its words stand at both ends. */
const ALONG_MARGIN_PX = 72;
const LEAST_PX = { width: 240, height: 260 } as const;

const within = (value: number, most: number): number => Math.min(most, Math.max(0, value));

function viewOf(
  size: { readonly width: number; readonly height: number },
  { sheet, zone }: Pick<SheetInput, 'sheet' | 'zone'>,
): View {
  const { widthCm, heightCm } = sheet;
  const aside = zone.thinned ? BROW_MARGIN_PX : MARGIN_PX;
  const scale = (across: number, down: number, sides: number): number =>
    Math.min((size.width - 2 * sides) / across, (size.height - 2 * MARGIN_PX) / down);
  const standing = scale(widthCm, heightCm, aside);
  const lying = liesAlong(widthCm, heightCm) ? scale(heightCm, widthCm, ALONG_MARGIN_PX) : 0;
  // on an upright picture a long zone stands: it is combed larger so
  const isAlong = lying > standing;
  const [across, down] = isAlong ? [heightCm, widthCm] : [widthCm, heightCm];
  const pxPerCm = Math.max(standing, lying);
  return {
    ...size,
    pxPerCm,
    origin: [(size.width - across * pxPerCm) / 2, (size.height - down * pxPerCm) / 2],
    alongCm: isAlong ? widthCm : null,
  };
}

type Planted = (densities: SheetContent['densities']) => readonly Root[];

export class SheetController {
  readonly #layers: SheetLayers;
  readonly #watch: ResizeObserver;
  /** Stops drawing anew when the light changes. */
  readonly #dim: () => void;
  #input: SheetInput;
  #view: View;
  #live: LiveField;
  #planted: Planted;
  /** Roots of the content that the page knows. */
  #roots: readonly Root[];
  #tool: ToolState;
  #cursor: Vec | null = null;
  /** What the hand has made so far and the page does not know yet. */
  #draft: SheetContent | null = null;
  #queue: ToolEvent[] = [];
  #frame = 0;
  /** Size of the frame that was last drawn for, px. */
  #box = { width: 0, height: 0 };

  constructor(layers: SheetLayers, input: SheetInput) {
    this.#layers = layers;
    this.#input = input;
    this.#tool = { ...input.held, drag: null };
    this.#view = viewOf(LEAST_PX, input);
    this.#live = liveField(input.zone, input.side, input.sheet);
    this.#planted = plantedIn(input);
    this.#roots = this.#planted(input.content.densities);
    this.#watch = new ResizeObserver(([entry]) => {
      const box = entry?.contentRect;
      if (box && (box.width !== this.#box.width || box.height !== this.#box.height)) this.#resize(box);
    });
    this.#watch.observe(layers.frame);
    this.#dim = onRoom(() => this.#paintAll());
    this.#resize({ width: layers.frame.clientWidth, height: layers.frame.clientHeight });
  }

  /** What the page knows now; it replaces what the hand made, unless the hand is still on it. */
  take(input: SheetInput): void {
    const was = this.#input;
    this.#input = input;
    this.#tool = { ...input.held, drag: this.#tool.drag };
    const isOtherSheet = input.zone !== was.zone || input.side !== was.side || input.sheet !== was.sheet;
    if (isOtherSheet) {
      this.#live = liveField(input.zone, input.side, input.sheet);
      this.#view = viewOf(this.#view, input);
    }
    const isOtherSkin =
      isOtherSheet || input.content.marks !== was.content.marks || input.hair.density !== was.hair.density;
    if (isOtherSkin) this.#planted = plantedIn(input);
    if (isOtherSkin || input.content.densities !== was.content.densities) {
      this.#roots = this.#planted(input.content.densities);
    }
    const shown = this.#draft ?? was.content;
    if (!this.#tool.drag) this.#draft = null;
    if (isOtherSheet) return this.#paintAll();
    const isOtherHair = input.hair !== was.hair || input.going !== was.going;
    if (isOtherSkin || this.#shown() !== shown || input.content !== was.content || isOtherHair) {
      this.#paintHair();
    }
    this.#paintTop();
  }

  /** True while a gesture is under way. */
  get isDragging(): boolean {
    return this.#tool.drag !== null;
  }

  /** Where the brush is, sheet centimetres; the middle of the sheet before it was anywhere. */
  get brush(): Vec {
    return this.#cursor ?? [this.#input.sheet.widthCm / 2, this.#input.sheet.heightCm / 2];
  }

  /** A place on the screen in sheet centimetres, kept on the sheet. */
  placeOf(clientX: number, clientY: number): Vec {
    const box = this.#layers.top.getBoundingClientRect();
    const { widthCm, heightCm } = this.#input.sheet;
    const [x, y] = toSheet(this.#view, [clientX - box.left, clientY - box.top]);
    return [within(x, widthCm), within(y, heightCm)];
  }

  /** A way on the screen as one on the sheet. */
  wayOf(way: Vec): Vec {
    return wayToSheet(this.#view, way);
  }

  /** Moves wait for the next frame; what begins or ends a gesture is done at once, after the moves before it. */
  feed(event: ToolEvent): void {
    this.#queue.push(event);
    if (event.kind === 'move') this.#soon();
    else this.#work();
  }

  /** The brush goes there without doing anything; null where it leaves the sheet. */
  point(at: Vec | null): void {
    this.#cursor = at && [within(at[0], this.#input.sheet.widthCm), within(at[1], this.#input.sheet.heightCm)];
    this.#soon();
  }

  dispose(): void {
    this.#watch.disconnect();
    this.#dim();
    cancelAnimationFrame(this.#frame);
  }

  #shown(): SheetContent {
    return this.#draft ?? this.#input.content;
  }

  #soon(): void {
    if (this.#frame === 0) this.#frame = requestAnimationFrame(() => this.#work());
  }

  #work(): void {
    cancelAnimationFrame(this.#frame);
    this.#frame = 0;
    const [before, wasDragging] = [this.#shown(), this.isDragging];
    for (const event of this.#queue.splice(0)) this.#step(event);
    if (this.#shown() !== before || wasDragging !== this.isDragging) this.#paintHair();
    this.#paintTop();
  }

  #step(event: ToolEvent): void {
    const now = this.#shown();
    const next = stepTool(this.#tool, now, event, this.#live.field, this.#input.sheet);
    this.#tool = next.state;
    if (next.content !== now) {
      this.#draft = next.content;
      this.#live.put(next.content.strokes);
    }
    if (event.kind === 'cancel') this.#draft = null;
    if (next.finished) this.#input.onDone(next.finished, next.content);
  }

  #resize({ width, height }: { readonly width: number; readonly height: number }): void {
    this.#box = { width, height };
    const size = { width: Math.max(LEAST_PX.width, width), height: Math.max(LEAST_PX.height, height) };
    this.#view = viewOf(size, this.#input);
    for (const canvas of [this.#layers.ground, this.#layers.hairs, this.#layers.top]) {
      canvas.style.width = `${size.width}px`;
      canvas.style.height = `${size.height}px`;
    }
    this.#paintAll();
  }

  #paintAll(): void {
    const { zone, side, sheet } = this.#input;
    const ctx = layer(this.#layers.ground, this.#view);
    if (ctx) paintGround(ctx, zone, side, sheet, this.#view, pageColours());
    this.#layers.top.dataset['pxPerCm'] = String(this.#view.pxPerCm);
    this.#layers.top.dataset['origin'] = this.#view.origin.join(',');
    this.#layers.top.dataset['alongCm'] = String(this.#view.alongCm ?? '');
    this.#layers.onView(this.#view);
    this.#paintHair();
    this.#paintTop();
  }

  #paintHair(): void {
    const { content, sheet, hair, going } = this.#input;
    const now = this.#shown();
    this.#live.put(now.strokes);
    const roots = now.densities === content.densities ? this.#roots : this.#planted(now.densities);
    this.#layers.top.dataset['hairs'] = String(roots.length);
    const ctx = layer(this.#layers.hairs, this.#view);
    const painted = { sheet, field: this.#live.field, roots, hair, going, quickly: this.isDragging };
    if (ctx) paintHair(ctx, painted, this.#view.pxPerCm, pageColours());
  }

  #paintTop(): void {
    const ctx = layer(this.#layers.top, this.#view);
    if (!ctx) return;
    const c = pageColours();
    const { zone, side, sheet } = this.#input;
    drawEdges(ctx, zone, side, sheet, this.#view, c);
    drawMarks(ctx, this.#shown(), this.#view, c);
    const { tool, radiusCm, markMm } = this.#tool;
    const at = this.#cursor;
    if (!at || this.#input.readOnly) return;
    const crossing = tool === 'cross' ? (crossingAt(this.#live.field, at)?.towards ?? null) : null;
    const way = tool === 'comb' ? growthAt(this.#live.field, at) : crossing;
    drawBrush(ctx, at, tool === 'mark' ? markMm / 10 : radiusCm, way, this.#view.pxPerCm, c.wax);
  }
}

/** Where hairs stand on the sheet of the page, for any densities. */
function plantedIn({ sheet, side, content, zone, hair }: SheetInput): Planted {
  const excluded = content.marks.map(exclusionOf);
  const areaCm2 = regionArea([sheet.outline]);
  const share = zone.thinned ? (at: Vec) => standingShare(zone, side, sheet, at) : undefined;
  return plantHair({ outline: sheet.outline, excluded, areaCm2, share }, zone, hair.density);
}

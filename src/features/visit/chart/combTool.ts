// The tool on the sheet as a small state machine: idle or dragging. Pure; the component feeds it pointer and key events
// in sheet centimetres and carries out what comes back. One undo entry a gesture; Escape or a lost pointer takes the
// gesture back.

import {
  comb,
  eraseDensity,
  eraseStrokes,
  feelDensity,
  type DensityPlace,
  type GrowthField,
  type MarkKind,
  type Stroke,
} from '@/core/field';
import type { Sheet } from '@/core/anatomy';
import type { DrawnKeep } from '@/core/outcomes';
import { distance, roundTo, type Vec } from '@/core/shared';
import type { ChartMark } from '@/server/db/schema';

/** `cross` combs a share of the hairs across the rest, `density` says where hair is thinner or thicker. */
export type Tool = 'comb' | 'cross' | 'density' | 'mark' | 'erase';

export interface SheetContent {
  readonly strokes: readonly Stroke[];
  readonly marks: readonly ChartMark[];
  readonly densities: readonly DensityPlace[];
  /** What stays, as drawn. */
  readonly keep?: DrawnKeep | undefined;
}

export interface ToolState {
  readonly tool: Tool;
  readonly radiusCm: number;
  readonly markKind: MarkKind;
  readonly markMm: number;
  /** Share of the hairs that the tool `cross` turns. */
  readonly share: number;
  /** Density that the tool `density` sets, 1–5. */
  readonly density: number;
  /** The day of the visit: since when a new mark is known. */
  readonly today: string;
  readonly drag: { readonly last: Vec; readonly before: SheetContent } | null;
}

export type ToolEvent = { readonly kind: 'down' | 'move' | 'up'; readonly at: Vec } | { readonly kind: 'cancel' };

export interface ToolStep {
  readonly state: ToolState;
  readonly content: SheetContent;
  /** Content before the gesture, to be pushed on the undo stack and saved after. */
  readonly finished: SheetContent | null;
}

/** A drag piece shorter than this share of the brush is waited for. */
const PIECE = 0.3;
const DENSITY_PIECE = 0.5;
/** Places that a chart takes (formats/visitCaseSchema.ts); a hand feels some dozens. */
const MOST_PLACES = 2000;

function erase(content: SheetContent, at: Vec, radiusCm: number): SheetContent {
  const hit = content.marks.find((m) => distance(m.at, at) <= Math.max(radiusCm, m.radiusMm / 10));
  return hit
    ? { ...content, marks: content.marks.filter((m) => m !== hit) }
    : {
        ...content,
        strokes: eraseStrokes(content.strokes, at, radiusCm),
        densities: eraseDensity(content.densities, at, radiusCm),
      };
}

function feel(content: SheetContent, at: Vec, { radiusCm, density }: ToolState): SheetContent {
  const densities = feelDensity(content.densities, { at, radiusCm, density });
  return densities.length > MOST_PLACES ? content : { ...content, densities };
}

export const newMark = (at: Vec, kind: MarkKind, radiusMm: number, since: string): ChartMark => ({
  kind,
  at: [roundTo(at[0], 2), roundTo(at[1], 2)],
  radiusMm,
  since,
});

/** One step of the tool. `field` is the field of the present content. */
export function stepTool(
  state: ToolState,
  content: SheetContent,
  event: ToolEvent,
  field: GrowthField,
  sheet: Sheet,
): ToolStep {
  const stay: ToolStep = { state, content, finished: null };
  if (event.kind === 'cancel') {
    return state.drag ? { state: { ...state, drag: null }, content: state.drag.before, finished: null } : stay;
  }
  const { at } = event;
  if (event.kind === 'down') {
    if (state.tool === 'mark') {
      return {
        state,
        content: { ...content, marks: [...content.marks, newMark(at, state.markKind, state.markMm, state.today)] },
        finished: content,
      };
    }
    const felt = state.tool === 'density' ? feel(content, at, state) : content;
    const next = state.tool === 'erase' ? erase(content, at, state.radiusCm) : felt;
    return { state: { ...state, drag: { last: at, before: content } }, content: next, finished: null };
  }
  if (!state.drag) return stay;
  if (event.kind === 'up') {
    const { before } = state.drag;
    const changed =
      before.strokes !== content.strokes || before.marks !== content.marks || before.densities !== content.densities;
    return { state: { ...state, drag: null }, content, finished: changed ? before : null };
  }
  if (distance(state.drag.last, at) < (state.tool === 'density' ? DENSITY_PIECE : PIECE) * state.radiusCm) return stay;
  const drag = { ...state.drag, last: at };
  if (state.tool === 'density') return { state: { ...state, drag }, content: feel(content, at, state), finished: null };
  const next =
    state.tool === 'erase'
      ? erase(content, at, state.radiusCm)
      : {
          ...content,
          strokes: comb(content.strokes, field, sheet, {
            from: state.drag.last,
            to: at,
            radiusCm: state.radiusCm,
            ...(state.tool === 'cross' ? { share: state.share } : {}),
          }),
        };
  return { state: { ...state, drag }, content: next, finished: null };
}

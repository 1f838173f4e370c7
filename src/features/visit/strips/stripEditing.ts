// Editing strips as a value: what the hand holds, the strips as they are now, what was before. Pure; the component
// feeds it pointer events in sheet centimetres, keys and buttons. One undo entry a gesture; a refused edit changes
// nothing and says why.

import type { Ring, Vec } from '@/core/shared';
import { isInside, type Region } from '@/core/shared';
import {
  fillGaps,
  growStrip,
  joinStrips,
  redrawStrip,
  removeStrip,
  splitStrip,
  turnStrip,
  type EditResult,
  type HandStrip,
} from '@/core/strips';

export type EditTool = 'choose' | 'cut' | 'join' | 'draw' | 'move';

export interface Editing {
  readonly tool: EditTool;
  readonly strips: readonly HandStrip[];
  readonly before: readonly (readonly HandStrip[])[];
  readonly after: readonly (readonly HandStrip[])[];
  readonly chosen: number | null;
  /** Points of the gesture under way, sheet centimetres. */
  readonly drag: readonly Vec[] | null;
  readonly refusal: string | null;
}

export type EditEvent =
  | { readonly kind: 'down' | 'move' | 'up'; readonly at: Vec }
  | { readonly kind: 'cancel' | 'undo' | 'redo' | 'remove' | 'fill' }
  | { readonly kind: 'tool'; readonly tool: EditTool }
  | { readonly kind: 'choose'; readonly index: number | null }
  | { readonly kind: 'turn'; readonly deg: number }
  | { readonly kind: 'grow'; readonly cm: number }
  | { readonly kind: 'nudge'; readonly by: Vec }
  | { readonly kind: 'halve'; readonly along: Vec };

/** Points of a drag closer than this are one, cm. */
const PIECE_CM = 0.12;
const SHORTEST_DRAG_CM = 0.4;

export const startEditing = (strips: readonly HandStrip[]): Editing => ({
  tool: 'choose',
  strips,
  before: [],
  after: [],
  chosen: null,
  drag: null,
  refusal: null,
});

const under = (strips: readonly HandStrip[], at: Vec): number | null => {
  const found = strips.findIndex((s) => isInside([s.outline], at));
  return found < 0 ? null : found;
};
const moved = (ring: Ring, [dx, dy]: Vec): Ring => ring.map(([x, y]): Vec => [x + dx, y + dy]);
const middleOf = (ring: Ring): Vec => [
  ring.reduce((s, p) => s + p[0], 0) / ring.length,
  ring.reduce((s, p) => s + p[1], 0) / ring.length,
];
const noneChosen = (state: Editing): Editing => ({ ...state, drag: null, refusal: 'Choose a strip first.' });

function apply(state: Editing, result: EditResult, chosen: number | null = state.chosen): Editing {
  if (!result.ok) return { ...state, drag: null, refusal: result.error.message };
  return {
    ...state,
    strips: result.value,
    before: [...state.before, state.strips],
    after: [],
    drag: null,
    refusal: null,
    chosen: chosen !== null && chosen < result.value.length ? chosen : null,
  };
}

function travel(drag: readonly Vec[]): Vec {
  const [from, to] = [drag[0] ?? [0, 0], drag.at(-1) ?? [0, 0]];
  return [to[0] - from[0], to[1] - from[1]];
}

/** What a finished drag does with the tool in hand. */
function finish(state: Editing, drag: readonly Vec[], hair: Region): Editing {
  const idle = { ...state, drag: null };
  const by = travel(drag);
  const reach = Math.max(...drag.map((p) => Math.hypot(p[0] - (drag[0]?.[0] ?? 0), p[1] - (drag[0]?.[1] ?? 0))));
  if (reach < SHORTEST_DRAG_CM) return idle;
  if (state.tool === 'cut') {
    const middle: Vec = [(drag[0]?.[0] ?? 0) + by[0] / 2, (drag[0]?.[1] ?? 0) + by[1] / 2];
    const index = under(state.strips, middle) ?? state.chosen;
    return index === null
      ? { ...idle, refusal: 'Draw the cut across a strip.' }
      : apply(state, splitStrip(state.strips, index, drag[0] ?? middle, drag.at(-1) ?? middle), null);
  }
  if (state.tool === 'draw') {
    if (drag.length < 6) return { ...idle, refusal: 'Draw round the ground of the strip.' };
    const index = state.chosen ?? state.strips.length;
    return apply(state, redrawStrip(state.strips, index, drag, hair), index);
  }
  if (state.tool === 'move' && state.chosen !== null) {
    const strip = state.strips[state.chosen];
    return strip ? apply(state, redrawStrip(state.strips, state.chosen, moved(strip.outline, by), hair)) : idle;
  }
  return idle;
}

function down(state: Editing, at: Vec): Editing {
  const hit = under(state.strips, at);
  if (state.tool === 'join') {
    if (hit === null) return { ...state, chosen: null };
    if (state.chosen === null || state.chosen === hit) return { ...state, chosen: hit, refusal: null };
    return apply(state, joinStrips(state.strips, state.chosen, hit), Math.min(state.chosen, hit));
  }
  if (state.tool === 'choose') return { ...state, chosen: hit === state.chosen ? null : hit, refusal: null };
  if (state.tool === 'move') return { ...state, chosen: hit, drag: hit === null ? null : [at], refusal: null };
  return { ...state, drag: [at], refusal: null };
}

/**
 * One step. `hair`: ground that strips may take (the outline less the clearance of marks); `meant`: what of it is to be
 * taken at all.
 */
export function editStep(state: Editing, event: EditEvent, hair: Region, meant: Region = hair): Editing {
  const { chosen, strips } = state;
  switch (event.kind) {
    case 'tool':
      return { ...state, tool: event.tool, drag: null, refusal: null };
    case 'choose':
      return { ...state, chosen: event.index, refusal: null };
    case 'down':
      return down(state, event.at);
    case 'move': {
      const last = state.drag?.at(-1);
      return !state.drag || !last || Math.hypot(event.at[0] - last[0], event.at[1] - last[1]) < PIECE_CM
        ? state
        : { ...state, drag: [...state.drag, event.at] };
    }
    case 'up':
      return state.drag ? finish(state, state.drag, hair) : state;
    case 'cancel':
      return { ...state, drag: null, refusal: null };
    case 'undo': {
      const target = state.before.at(-1);
      return target
        ? {
            ...state,
            strips: target,
            before: state.before.slice(0, -1),
            after: [...state.after, strips],
            chosen: null,
            refusal: null,
          }
        : state;
    }
    case 'redo': {
      const target = state.after.at(-1);
      return target
        ? {
            ...state,
            strips: target,
            after: state.after.slice(0, -1),
            before: [...state.before, strips],
            chosen: null,
            refusal: null,
          }
        : state;
    }
    case 'fill':
      return apply(state, fillGaps(strips, meant));
    case 'remove':
      return chosen === null ? noneChosen(state) : apply(state, removeStrip(strips, chosen), null);
    case 'turn':
      return chosen === null ? noneChosen(state) : apply(state, turnStrip(strips, chosen, event.deg));
    case 'grow':
      return chosen === null ? noneChosen(state) : apply(state, growStrip(strips, chosen, event.cm, hair));
    case 'nudge': {
      const strip = chosen === null ? undefined : strips[chosen];
      return chosen === null || !strip
        ? noneChosen(state)
        : apply(state, redrawStrip(strips, chosen, moved(strip.outline, event.by), hair));
    }
    case 'halve': {
      const strip = chosen === null ? undefined : strips[chosen];
      if (chosen === null || !strip) return noneChosen(state);
      const [x, y] = middleOf(strip.outline);
      return apply(state, splitStrip(strips, chosen, [x, y], [x + event.along[0], y + event.along[1]]), null);
    }
  }
}

import { describe, expect, it } from 'vitest';
import { sheetFor, ZONES } from '@/core/anatomy';
import { growthField } from '@/core/field';
import { stepTool, type SheetContent, type ToolEvent, type ToolState } from './combTool';

const made = sheetFor(ZONES.underarm, 'left', {});
if (!made.ok) throw new Error(made.error.code);
const sheet = made.value;
const idle: ToolState = {
  tool: 'comb',
  radiusCm: 1,
  markKind: 'mole',
  markMm: 4,
  share: 0.25,
  density: 2,
  today: '2027-05-08',
  drag: null,
};
const empty: SheetContent = { strokes: [], marks: [], densities: [] };

function run(state: ToolState, content: SheetContent, events: readonly ToolEvent[]) {
  let finished: SheetContent | null = null;
  for (const e of events) {
    const next = stepTool(state, content, e, growthField(ZONES.underarm, 'left', sheet, content.strokes), sheet);
    ({ state, content } = next);
    finished = next.finished ?? finished;
  }
  return { state, content, finished };
}

describe('stepTool', () => {
  it('combs over a drag and gives one undo entry', () => {
    const { content, finished, state } = run(idle, empty, [
      { kind: 'down', at: [3, 3] },
      { kind: 'move', at: [4, 3] },
      { kind: 'move', at: [5, 3] },
      { kind: 'up', at: [5, 3] },
    ]);
    expect(content.strokes.some((s) => s.towards[0] === 1)).toBe(true);
    expect(finished).toBe(empty);
    expect(state.drag).toBeNull();
  });
  it('takes a cancelled gesture back whole, and a tap combs nothing', () => {
    expect(
      run(idle, empty, [{ kind: 'down', at: [3, 3] }, { kind: 'move', at: [5, 3] }, { kind: 'cancel' }]).content,
    ).toBe(empty);
    expect(
      run(idle, empty, [
        { kind: 'down', at: [3, 3] },
        { kind: 'up', at: [3, 3] },
      ]).finished,
    ).toBeNull();
  });
  it('drops a mark and erases it before any stroke', () => {
    const marked = run({ ...idle, tool: 'mark' }, empty, [{ kind: 'down', at: [4, 5] }]);
    expect(marked.content.marks).toEqual([{ kind: 'mole', at: [4, 5], radiusMm: 4, since: '2027-05-08' }]);
    expect(
      run({ ...idle, tool: 'erase' }, marked.content, [
        { kind: 'down', at: [4.2, 5] },
        { kind: 'up', at: [4.2, 5] },
      ]).content.marks,
    ).toEqual([]);
  });
  it('feels a density at a tap and along a drag, as one gesture, and erases it', () => {
    const feeling: ToolState = { ...idle, tool: 'density' };
    const tapped = run(feeling, empty, [
      { kind: 'down', at: [3, 3] },
      { kind: 'up', at: [3, 3] },
    ]);
    expect(tapped.content.densities).toEqual([{ at: [3, 3], radiusCm: 1, density: 2 }]);
    expect(tapped.finished).toBe(empty);
    const dragged = run(feeling, empty, [
      { kind: 'down', at: [3, 3] },
      ...[3.3, 3.6, 3.9, 4.2, 4.5].map((x): ToolEvent => ({ kind: 'move', at: [x, 3] })),
      { kind: 'up', at: [4.5, 3] },
    ]);
    expect(dragged.content.densities.map((d) => d.at[0])).toEqual([3, 3.6, 4.2]);
    expect(dragged.content.strokes).toBe(empty.strokes);
    const erased = run({ ...idle, tool: 'erase' }, dragged.content, [
      { kind: 'down', at: [3.2, 3] },
      { kind: 'up', at: [3.2, 3] },
    ]);
    expect(erased.content.densities.map((d) => d.at[0])).toEqual([4.2]);
    expect(erased.finished).toBe(dragged.content);
  });
  it('combs only a share of the hairs with the crossing comb', () => {
    const { content } = run({ ...idle, tool: 'cross' }, empty, [
      { kind: 'down', at: [3, 3] },
      { kind: 'move', at: [4, 3] },
      { kind: 'up', at: [4, 3] },
    ]);
    expect(content.strokes.length).toBeGreaterThan(2);
    expect(content.strokes.every((s) => s.share === 0.25)).toBe(true);
  });
});

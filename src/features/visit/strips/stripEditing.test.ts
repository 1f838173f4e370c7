import { describe, expect, it } from 'vitest';
import { regionArea, type Ring, type Vec } from '@/core/shared';
import { editStep, startEditing, type EditEvent, type Editing } from './stripEditing';

const box = (x0: number, y0: number, x1: number, y1: number): Ring => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];
const hair = [box(0, 0, 8, 12)];
const start = startEditing([{ outline: box(0, 0, 4, 12) }, { outline: box(4, 0, 8, 12) }]);
const run = (state: Editing, events: readonly EditEvent[]): Editing =>
  events.reduce((s, e) => editStep(s, e, hair), state);
const drag = (...points: readonly Vec[]): readonly EditEvent[] => [
  { kind: 'down', at: points[0] ?? [0, 0] },
  ...points.slice(1).map((at): EditEvent => ({ kind: 'move', at })),
  { kind: 'up', at: points.at(-1) ?? [0, 0] },
];
const areas = (s: Editing): readonly number[] => s.strips.map((x) => Math.round(10 * regionArea([x.outline])) / 10);

describe('editStep', () => {
  it('cuts the strip that the line is drawn over, and takes it back in one step', () => {
    const cut = run(start, [{ kind: 'tool', tool: 'cut' }, ...drag([-1, 6], [2, 6], [5, 6])]);
    expect(areas(cut)).toEqual([24, 24, 48]);
    expect(areas(run(cut, [{ kind: 'undo' }]))).toEqual([48, 48]);
    expect(areas(run(cut, [{ kind: 'undo' }, { kind: 'redo' }]))).toEqual([24, 24, 48]);
  });
  it('joins the two that are tapped; an edit after an undo drops what was undone', () => {
    const joined = run(start, [
      { kind: 'tool', tool: 'join' },
      { kind: 'down', at: [1, 1] },
      { kind: 'down', at: [7, 1] },
    ]);
    expect(areas(joined)).toEqual([96]);
    const other = run(joined, [{ kind: 'undo' }, { kind: 'choose', index: 0 }, { kind: 'turn', deg: 15 }]);
    expect(other.after).toEqual([]);
    expect(other.strips[0]?.turnDeg).toBe(15);
  });
  it('draws the chosen strip anew, its neighbour gives way; with none chosen a new one is added', () => {
    const round: readonly Vec[] = [
      [1, 1],
      [4, 1],
      [6, 1],
      [6, 4],
      [6, 8],
      [3, 8],
      [1, 8],
    ];
    const drawn = run(start, [{ kind: 'choose', index: 0 }, { kind: 'tool', tool: 'draw' }, ...drag(...round)]);
    expect(areas(drawn)[0]).toBeCloseTo(35, 0);
    expect(areas(drawn)[1]).toBeCloseTo(48 - 14, 0);
    expect(run(start, [{ kind: 'tool', tool: 'draw' }, ...drag(...round)]).strips.length).toBeGreaterThan(2);
  });
  it('moves a strip on the hair, gives what is free to the neighbours, halves, widens, takes away', () => {
    const pulled = run(start, [{ kind: 'tool', tool: 'move' }, ...drag([2, 6], [3, 6], [4, 6])]);
    expect(areas(pulled)).toEqual([48, 24]);
    expect(areas(run(pulled, [{ kind: 'fill' }])).reduce((a, b) => a + b, 0)).toBeCloseTo(96, 0);
    expect(
      areas(
        run(start, [
          { kind: 'choose', index: 1 },
          { kind: 'halve', along: [1, 0] },
        ]),
      ),
    ).toEqual([48, 24, 24]);
    expect(
      areas(
        run(start, [
          { kind: 'choose', index: 1 },
          { kind: 'grow', cm: 0.5 },
        ]),
      )[1],
    ).toBeGreaterThan(53);
    expect(areas(run(start, [{ kind: 'choose', index: 1 }, { kind: 'remove' }]))).toEqual([48]);
    expect(
      areas(
        run(start, [
          { kind: 'choose', index: 1 },
          { kind: 'nudge', by: [-1, 0] },
        ]),
      ),
    ).toEqual([36, 48]);
  });
  it('refuses in words and keeps everything: nothing chosen, a cut that misses, no hair, a gesture taken back', () => {
    for (const events of [
      [{ kind: 'turn', deg: 5 }],
      [{ kind: 'remove' }],
      [{ kind: 'tool', tool: 'cut' }, ...drag([20, 20], [22, 20], [24, 20])],
      [
        { kind: 'choose', index: 0 },
        { kind: 'nudge', by: [90, 0] },
      ],
    ] as const) {
      const after = run(start, events as readonly EditEvent[]);
      expect(after.refusal).not.toBeNull();
      expect(after.strips).toBe(start.strips);
      expect(after.before).toEqual([]);
    }
    const lost = run(start, [
      { kind: 'tool', tool: 'cut' },
      { kind: 'down', at: [1, 1] },
      { kind: 'move', at: [3, 3] },
      { kind: 'cancel' },
      { kind: 'up', at: [5, 5] },
    ]);
    expect(lost.strips).toBe(start.strips);
    expect(run(start, [{ kind: 'tool', tool: 'draw' }, ...drag([1, 1], [1.1, 1.1])]).strips).toBe(start.strips);
  });
});

import { describe, expect, it, vi } from 'vitest';
import type { Region, Vec } from '@/core/shared';
import { StripsController } from './stripsController';

const square: Region = [
  [
    [0, 0],
    [10, 0],
    [10, 20],
    [0, 20],
  ],
];
const strip = { outline: square[0] ?? [] };

function onSkin(): { readonly on: StripsController; readonly frame: () => void; readonly heard: () => number } {
  let waiting: (() => void) | null = null;
  const on = new StripsController([strip], { hair: square, meant: square }, (work) => {
    waiting = work;
    return () => (waiting = null);
  });
  const listener = vi.fn();
  on.subscribe(listener);
  return { on, frame: () => waiting?.(), heard: () => listener.mock.calls.length };
}
const at = (x: number, y: number): Vec => [x, y];

describe('strips under the hand', () => {
  it('are drawn once a frame while a drag goes on, and all of its points count', () => {
    const { on, frame, heard } = onSkin();
    on.send({ kind: 'tool', tool: 'cut' });
    on.send({ kind: 'down', at: at(-1, 10) });
    const before = heard();
    for (let x = 0; x <= 5; x++) on.send({ kind: 'move', at: at(x, 10) });
    expect(heard()).toBe(before);
    frame();
    expect(heard()).toBe(before + 1);
    expect(on.state().drag).toHaveLength(7);
  });
  it('end a gesture at once, after the moves that waited', () => {
    const { on } = onSkin();
    on.send({ kind: 'tool', tool: 'cut' });
    on.send({ kind: 'down', at: at(-1, 10) });
    on.send({ kind: 'move', at: at(11, 10) });
    on.send({ kind: 'up', at: at(11, 10) });
    expect(on.state().strips).toHaveLength(2);
    on.send({ kind: 'undo' });
    expect(on.state().strips).toEqual([strip]);
  });
  it('leave what does not show the drag alone until something else has changed', () => {
    const { on, frame } = onSkin();
    on.send({ kind: 'tool', tool: 'draw' });
    const settled = on.settled();
    on.send({ kind: 'down', at: at(1, 1) });
    on.send({ kind: 'move', at: at(5, 5) });
    frame();
    expect(on.state().drag).toHaveLength(2);
    expect(on.settled()).toBe(settled);
    on.send({ kind: 'cancel' });
    on.send({ kind: 'choose', index: 0 });
    expect(on.settled()).not.toBe(settled);
  });
  it('hear no move where no gesture is under way', () => {
    const { on, frame, heard } = onSkin();
    on.send({ kind: 'move', at: at(5, 5) });
    frame();
    expect(heard()).toBe(0);
  });
  it('cut by the ground that holds now', () => {
    const { on } = onSkin();
    on.ground({ hair: [], meant: [] });
    on.send({ kind: 'choose', index: 0 });
    on.send({ kind: 'nudge', by: [0.5, 0] });
    expect(on.state().strips).toEqual([strip]);
    expect(on.state().refusal).not.toBeNull();
  });
});

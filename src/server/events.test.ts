import { describe, expect, it } from 'vitest';
import { cursorOf, lastSeq, listen, tell, toldAfter } from './events';

describe('events', () => {
  it('are told as they happen, in order, to those who listen', () => {
    const heard: string[] = [];
    const end = listen(({ event }) => heard.push(event.kind));
    tell({ kind: 'day' });
    tell({ kind: 'visit', visitId: 'v', version: 2 });
    end();
    tell({ kind: 'day' });
    expect(heard).toEqual(['day', 'visit']);
  });
  it('reach the others, and fail nobody, where one line is gone', () => {
    const heard: string[] = [];
    const ends = [
      listen(() => {
        throw new Error('the line is closed');
      }),
      listen(({ event }) => heard.push(event.kind)),
    ];
    tell({ kind: 'day' });
    tell({ kind: 'day' });
    ends.forEach((end) => end());
    expect(heard).toEqual(['day', 'day']);
  });
  it('are told again from where a page has heard them', () => {
    const cursor = cursorOf(lastSeq());
    tell({ kind: 'journal', visitId: 'v', at: 7 });
    tell({ kind: 'plan', visitId: 'v', hash: 'h' });
    expect(toldAfter(cursor)?.map((t) => t.event.kind)).toEqual(['journal', 'plan']);
    expect(toldAfter(cursorOf(lastSeq()))).toEqual([]);
    expect(toldAfter(null)).toEqual([]);
  });
  it('cannot be told from a cursor of another run, of the future, or too long ago', () => {
    expect(toldAfter('another.3')).toBeNull();
    expect(toldAfter(cursorOf(lastSeq() + 5))).toBeNull();
    expect(toldAfter('nonsense')).toBeNull();
    const old = cursorOf(lastSeq());
    for (let k = 0; k < 2002; k++) tell({ kind: 'day' });
    expect(toldAfter(old)).toBeNull();
  });
});

import { describe, expect, it } from 'vitest';
import { recaller } from './recall';

describe('a memory of results', () => {
  it('makes a result once and gives it again', () => {
    let made = 0;
    const recall = recaller<number>(3);
    expect([recall('a', () => ++made), recall('a', () => ++made), recall('b', () => ++made)]).toEqual([1, 1, 2]);
  });
  it('drops what was longest unused', () => {
    const recall = recaller<string>(2);
    recall('a', () => 'first a');
    recall('b', () => 'first b');
    recall('a', () => 'never made');
    recall('c', () => 'first c');
    expect(recall('a', () => 'second a')).toBe('first a');
    expect(recall('b', () => 'second b')).toBe('second b');
  });
  it('keeps nothing of a failed attempt', () => {
    const recall = recaller<number>(2);
    expect(() =>
      recall('a', () => {
        throw new Error('no');
      }),
    ).toThrow('no');
    expect(recall('a', () => 5)).toBe(5);
  });
});

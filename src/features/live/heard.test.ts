import { describe, expect, it } from 'vitest';
import { isGap, later } from './heard';

describe('what a page has heard', () => {
  it('has a gap where a number is left out, where the server is another, and where pots tell of more', () => {
    expect(isGap('a.4', 'a.5', true)).toBe(false);
    expect(isGap('a.4', 'a.6', true)).toBe(true);
    expect(isGap('a.4', 'b.1', true)).toBe(true);
    expect(isGap('a.4', 'a.4', false)).toBe(false);
    expect(isGap('a.4', 'a.5', false)).toBe(true);
  });

  it('has none before anything was heard, nor where a thing is told twice', () => {
    expect(isGap(null, 'a.9', true)).toBe(false);
    expect(isGap('a.4', 'a.3', true)).toBe(false);
  });

  it('never goes back within a run; another run is later', () => {
    expect(later(null, 'a.2')).toBe('a.2');
    expect(later('a.4', 'a.3')).toBe('a.4');
    expect(later('a.9', 'a.10')).toBe('a.10');
    expect(later('a.4', 'b.1')).toBe('b.1');
  });
});

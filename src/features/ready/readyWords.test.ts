import { describe, expect, it } from 'vitest';
import type { ReadyLine } from '@/server/services/outlook';
import { barOf, readyFinding, readyScale, readyWords } from './readyWords';

const line = (over: Partial<ReadyLine>): ReadyLine => ({
  clientId: 'a',
  name: 'A',
  what: 'upper lip',
  lastOn: '2026-11-01',
  fromOn: '2026-11-25',
  toOn: '2026-12-20',
  state: 'ready',
  bookedMs: null,
  ...over,
});
const TODAY = '2026-12-01';

describe('who is ready, in words', () => {
  it('says what counts today: opens, closes soon, short, closed', () => {
    expect(readyWords(line({}), TODAY)).toBe('to Sun 20 December');
    expect(readyWords(line({ toOn: '2026-12-08' }), TODAY)).toBe('closes Tue 8 December');
    expect(readyWords(line({ fromOn: '2026-11-30', toOn: '2026-12-04' }), TODAY)).toBe(
      'short window, to Fri 4 December',
    );
    expect(readyWords(line({ state: 'soon', fromOn: '2026-12-09' }), TODAY)).toBe('from Wed 9 December');
    expect(readyWords(line({ state: 'over', toOn: '2026-11-30' }), TODAY)).toBe('closed 1 day ago');
    expect(readyWords(line({ state: 'unknown', fromOn: null, toOn: null }), TODAY)).toBe('not known');
  });
  it('heads the list by who waits for a booking', () => {
    const of = (ready: number, over: number, lines = [line({})]) => readyFinding({ lines, ready, over });
    expect(of(0, 0, [])).toBe('Nobody has been waxed by a plan yet');
    expect(of(0, 0)).toBe('Nobody is ready and not booked');
    expect(of(1, 2)).toBe('One is ready and not booked, 2 are past it');
    expect(of(0, 1)).toBe('One is past it');
    expect(of(4, 0)).toBe('4 are ready and not booked');
  });
  it('lays bars on the scale and clips them to it', () => {
    const scale = readyScale(TODAY);
    expect(scale).toEqual({ fromOn: '2026-11-17', days: 70 });
    expect(barOf(scale, '2026-11-17', '2026-11-23')).toEqual({ left: 0, width: 10 });
    expect(barOf(scale, '2026-11-01', '2026-11-17')?.left).toBe(0);
    expect(barOf(scale, '2026-01-01', '2026-02-01')).toBeNull();
    expect(barOf(scale, '2027-03-01', '2027-03-20')).toBeNull();
  });
});

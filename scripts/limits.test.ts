import { describe, expect, it } from 'vitest';
import { BURST, limitByMachine, PER_SECOND } from './limits.mjs';

const taken = (asked: ReturnType<typeof limitByMachine>, machine: string, times: number, atMs: number): number =>
  Array.from({ length: times }, () => asked(machine, atMs)).filter((a) => a === null).length;

describe('what one machine may ask', () => {
  it('is a burst, then so many a second; what is over is told to wait', () => {
    const asked = limitByMachine({ burst: 10, perSecond: 2 });
    expect(taken(asked, 'a', 25, 0)).toBe(10);
    expect(asked('a', 0)).toMatchObject({ status: 429, code: 'too-many' });
    expect(taken(asked, 'a', 25, 3_000)).toBe(6);
    // a long rest gives no more than a burst
    expect(taken(asked, 'a', 25, 900_000)).toBe(10);
  });
  it('is counted for each machine apart', () => {
    const asked = limitByMachine({ burst: 3, perSecond: 1 });
    expect(taken(asked, 'a', 5, 0)).toBe(3);
    expect(taken(asked, 'b', 5, 0)).toBe(3);
  });
  it('leaves room for a tablet at the table: ten acts a second for a minute, and a page of fifty parts', () => {
    const asked = limitByMachine();
    expect(taken(asked, 'tablet', 50, 0)).toBe(50);
    const acts = Array.from({ length: 600 }, (_, i) => asked('tablet', i * 100)).filter((a) => a === null);
    expect(acts).toHaveLength(600);
    expect(BURST / PER_SECOND).toBeLessThanOrEqual(10);
  });
  it('remembers no end of machines', () => {
    const asked = limitByMachine({ burst: 1, perSecond: 0 });
    for (let i = 0; i < 5_000; i++) asked(`m${i}`, 0);
    expect(asked('m4999', 0)).not.toBeNull();
    // forgotten, so asked anew
    expect(asked('m0', 0)).toBeNull();
  });
});

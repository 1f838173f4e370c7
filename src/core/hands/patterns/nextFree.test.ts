import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { scheduleInOrder } from '../fixedOrder';
import { randomTask } from '../randomTask';
import { opsOf } from '../state';
import { seededRandom } from '../../shared';
import type { StripJob } from '../types';
import { holdsNextFree, nextFreeOrder, type LooksFirst, type SideList } from './nextFree';

const job = (id: string, over: Partial<StripJob> = {}): StripJob => ({
  ...{
    id,
    side: null,
    layS: 10,
    coats: 1 as const,
    setMinS: 25,
    setMaxS: 110,
    pullS: 4,
    pressS: 3,
    needs: [],
    touches: [],
  },
  ...over,
});
/** Four strips side by side, each touching its neighbours. */
const row = (side: 'left' | 'right' | null = null, from = 0): readonly StripJob[] =>
  [0, 1, 2, 3].map((k) =>
    job(`${side ?? ''}${k}`, { side, touches: [k - 1, k + 1].filter((t) => t >= 0 && t < 4).map((t) => t + from) }),
  );

const first: LooksFirst = 'here';
/** Side by side: all alike high. */
const list = (...jobs: readonly number[]): SideList => ({ jobs, heights: jobs.map(() => 0) });

describe('the next free strip', () => {
  it('passes over what touches wax that lies, and comes back to it (worked by hand)', () => {
    // 0 lies, 1 touches it, 2 is free; then 1 and 3 touch 2, so both wait until what they touch is off
    const walk = {
      input: { jobs: row(), maxOnSkin: 3, walkS: 6 },
      sides: [list(0, 1, 2, 3)],
      alike: false,
      most: 3,
      first,
    };
    expect(nextFreeOrder(walk)).toEqual([0, 2, 1, 3]);
  });

  it('goes over to the other side while nothing is free on this one, and lays it in the same order', () => {
    const jobs = [...row('left'), ...row('right', 4)];
    const sides = [list(0, 1, 2, 3), list(4, 5, 6, 7)];
    const orderOf = (looks: LooksFirst): readonly number[] =>
      nextFreeOrder({ input: { jobs, maxOnSkin: 4, walkS: 6 }, sides, alike: true, most: 4, first: looks }) ?? [];
    // 4 lies at 36 s, when 0 has set; 0 and 2 come off: here goes on with 6, the leading side with 1, which is free now
    expect(orderOf('here').slice(0, 4)).toEqual([0, 2, 4, 6]);
    expect(orderOf('one-side').slice(0, 4)).toEqual([0, 2, 4, 1]);
    expect(orderOf('across').slice(0, 4)).toEqual([0, 4, 2, 6]);
    for (const looks of ['here', 'one-side', 'across'] as const) {
      const order = orderOf(looks);
      expect(order).toHaveLength(8);
      expect(order.filter((j) => j >= 4).map((j) => j - 4)).toEqual(order.filter((j) => j < 4));
    }
  });

  it('looks no further ahead than two strips above the lowest that is left', () => {
    // 0 lies, 1 touches it; 2 is free, but three strips further on
    const jobs = [job('0', { touches: [1] }), job('1', { touches: [0] }), job('2')];
    const at = (heights: readonly number[]) =>
      nextFreeOrder({
        ...{ input: { jobs, maxOnSkin: 3, walkS: 6 }, alike: false, most: 3, first },
        sides: [{ jobs: [0, 1, 2], heights }],
      });
    expect(at([0, 0, 1])).toEqual([0, 2, 1]);
    expect(at([0, 0, 3])).toEqual([0, 1, 2]);
  });

  it('waits for what must be off or laid before', () => {
    const jobs = [job('a'), job('b', { needs: [0] }), job('c', { after: [1] })];
    const walk = { input: { jobs, maxOnSkin: 3, walkS: 6 }, sides: [list(2, 1, 0)], alike: false, most: 3, first };
    expect(nextFreeOrder(walk)).toEqual([0, 1, 2]);
  });

  it('has no answer where a strip would come off too late', () => {
    const jobs = [job('a', { setMinS: 30, setMaxS: 20 })];
    const walk = { input: { jobs, maxOnSkin: 2, walkS: 6 }, sides: [list(0)], alike: false, most: 2, first };
    expect(nextFreeOrder(walk)).toBeNull();
  });

  it('takes every strip once, in one coat and in two, and its schedule is one', () => {
    let made = 0;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), fc.integer({ min: 2, max: 12 }), (seed, count) => {
        const input = randomTask(seededRandom(seed), count, seed % 2 === 0 ? 1 : 2);
        const all = input.jobs.map((_, i) => i);
        const sides = [list(...all)];
        const order = nextFreeOrder({ input, sides, alike: false, most: input.maxOnSkin, first });
        if (!order) return;
        made++;
        expect([...order].sort((a, b) => a - b)).toEqual(all);
        expect(scheduleInOrder(input, order)).not.toBeNull();
      }),
      { seed: 5, numRuns: 60 },
    );
    expect(made).toBeGreaterThan(40);
  });

  it('tells a schedule that passes over what was free', () => {
    const input = { jobs: row(), maxOnSkin: 3, walkS: 6 };
    const walk = { input, sides: [list(0, 1, 2, 3)], alike: false, first };
    const opsIn = (order: readonly number[]) => {
      const end = scheduleInOrder(input, order);
      return end ? opsOf(end) : [];
    };
    expect(holdsNextFree(walk, opsIn([0, 2, 1, 3]))).toBe(true);
    // 0 was free when 2 was laid
    expect(holdsNextFree(walk, opsIn([2, 0, 3, 1]))).toBe(false);
  });

  it('judges a pair by the side that goes ahead: the other one follows it', () => {
    const jobs = [...row('left'), ...row('right', 4)];
    const walk = { input: { jobs, maxOnSkin: 4, walkS: 6 }, sides: [list(0, 1, 2, 3), list(4, 5, 6, 7)], first };
    const opsOfLays = (order: readonly number[]) =>
      order.map((of) => ({ kind: 'lay' as const, job: of, startS: 0, endS: 0, walkS: 0, poseS: 0 }));
    // the left has gone 0, 2; on the right 4 and then 6 follow, though 5 comes before 6 in the list
    expect(holdsNextFree({ ...walk, alike: true }, opsOfLays([0, 2, 4, 6]))).toBe(true);
    // the left passes over 0, which was free
    expect(holdsNextFree({ ...walk, alike: true }, opsOfLays([1, 3]))).toBe(false);
    expect(holdsNextFree({ ...walk, alike: false }, opsOfLays([0, 6]))).toBe(false);
    // over to the other side while 2 was free here: that is what going across says, and no other
    expect(holdsNextFree({ ...walk, alike: true }, opsOfLays([0, 4]))).toBe(false);
    expect(holdsNextFree({ ...walk, alike: true, first: 'across' }, opsOfLays([0, 4]))).toBe(true);
  });

  it('waits for no strip whose tab still lies on hair, and is not held to one', () => {
    const jobs = [job('0', { needs: [1] }), job('1'), job('2')];
    const walk = { input: { jobs, maxOnSkin: 3, walkS: 6 }, sides: [list(0, 1, 2)], alike: false, first };
    const op = (kind: 'lay' | 'pull', of: number) => ({ kind, job: of, startS: 0, endS: 0, walkS: 0, poseS: 0 });
    expect(holdsNextFree(walk, [op('lay', 1), op('pull', 1), op('lay', 0), op('lay', 2)])).toBe(true);
    // 1 is off, so 0 might have been laid before 2
    expect(holdsNextFree(walk, [op('lay', 1), op('pull', 1), op('lay', 2)])).toBe(false);
    // while 1 lies 0 may not
    expect(holdsNextFree(walk, [op('lay', 1), op('lay', 2)])).toBe(true);
    // nor before what is of an earlier course
    const courses = { ...walk, input: { ...walk.input, jobs: [job('0', { after: [1] }), job('1'), job('2')] } };
    expect(holdsNextFree(courses, [op('lay', 1), op('lay', 0), op('lay', 2)])).toBe(true);
    expect(holdsNextFree(courses, [op('lay', 2)])).toBe(false);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared';
import { boundTables, formulaBound, remainingBound, spanOf, workOf } from './bounds';
import { allPolicies, bestPolicy, runPolicy } from './policies';
import { randomTask } from './randomTask';
import { scheduleHands } from './schedule';
import { searchSchedule } from './search';
import { canLay, emptyTable, makesDeadlines, nextStart, OFF, opsOf, SETTING, step } from './state';
import type { HandsInput, StripJob } from './types';

const job = (id: string, more: Partial<StripJob> = {}): StripJob => ({
  id,
  side: null,
  layS: 10,
  coats: 1,
  setMinS: 20,
  setMaxS: 60,
  pullS: 4,
  pressS: 3,
  needs: [],
  touches: [],
  ...more,
});
const input = (jobs: readonly StripJob[], maxOnSkin = 3): HandsInput => ({ jobs, maxOnSkin, walkS: 6 });

describe('step', () => {
  it('lays, waits for the set and pulls with its press', () => {
    const task = input([job('a')]);
    const laid = step(emptyTable(1), task, 0);
    expect(laid).toMatchObject({ nowS: 10, last: { kind: 'lay', startS: 0, endS: 10 } });
    expect(nextStart(laid, task, 0)).toBe(30);
    const off = step(laid, task, 0);
    expect(off).toMatchObject({ nowS: 37, lateS: 0, last: { kind: 'pull', startS: 30, endS: 37 } });
    expect(off.stage[0]).toBe(OFF);
    expect(opsOf(off).map((o) => o.kind)).toEqual(['lay', 'pull']);
  });
  it('walks to the other side and not for the middle', () => {
    const task = input([job('l', { side: 'left' }), job('r', { side: 'right' }), job('m')]);
    const left = step(emptyTable(3), task, 0);
    expect(step(left, task, 1).last).toMatchObject({ walkS: 6, startS: 16 });
    expect(step(left, task, 2).last).toMatchObject({ walkS: 0, startS: 10 });
    expect(step(left, task, 2).side).toBe('left');
  });
  it('rests a first coat and counts the set from the second', () => {
    const task = input([job('a', { coats: 2 })]);
    const first = step(emptyTable(1), task, 0);
    const second = step(first, task, 0);
    expect(second.last).toMatchObject({ kind: 'coat', startS: 18, endS: 28 });
    expect(step(second, task, 0).last?.startS).toBe(48);
  });
  it('counts how late a pull was', () => {
    const task = input([job('a', { setMaxS: 25 }), job('b', { layS: 60 })]);
    const state = step(step(emptyTable(2), task, 0), task, 1);
    expect(makesDeadlines(state, task)).toBe(false);
    expect(step(state, task, 0).lateS).toBe(35);
  });
});

describe('canLay', () => {
  it('keeps tabs, touching strips and the number on the skin', () => {
    const task = input([job('a'), job('b', { needs: [0] }), job('c', { touches: [0] }), job('d')], 2);
    const empty = emptyTable(4);
    expect([0, 1, 2, 3].filter((i) => canLay(empty, task, i))).toEqual([0, 2, 3]);
    const one = step(empty, task, 0);
    expect([1, 2, 3].filter((i) => canLay(one, task, i))).toEqual([3]);
    const two = step(one, task, 3);
    expect([1, 2].filter((i) => canLay(two, task, i))).toEqual([]);
    const pulled = step(two, task, 0);
    expect([1, 2].filter((i) => canLay(pulled, task, i))).toEqual([1, 2]);
  });
});

describe('bounds', () => {
  it('add up work and span of a strip, two coats with their rest', () => {
    expect(workOf(job('a'))).toBe(17);
    expect(spanOf(job('a'))).toBe(37);
    expect(workOf(job('a', { coats: 2 }))).toBe(27);
    expect(spanOf(job('a', { coats: 2 }))).toBe(55);
  });
  it('see the longest chain of tabs', () => {
    const tables = boundTables([job('a'), job('b', { needs: [0] }), job('c', { needs: [1] })]);
    expect(tables.tailS).toEqual([111, 74, 37]);
    expect(tables.afterS).toEqual([74, 37, 0]);
  });
  it('are never above what any policy reaches, at the start and on the way', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 1, max: 9 }), (seed, n) => {
        const task = randomTask(seededRandom(seed), n);
        const best = bestPolicy(task);
        if (!best) return;
        expect(formulaBound(task)).toBeLessThanOrEqual(best.nowS);
        const tables = boundTables(task.jobs);
        for (let s: typeof best | null = best; s; s = s.before) {
          expect(remainingBound(s, task, tables)).toBeLessThanOrEqual(best.nowS);
        }
      }),
      { seed: 6, numRuns: 120 },
    );
  });
  it('are proved by the exact search on small tasks: no schedule is shorter than its bound', () => {
    const random = seededRandom(31);
    for (let k = 0; k < 25; k++) {
      const task = randomTask(random, 4);
      const made = scheduleHands(task);
      expect(made.lowerBoundS).toBeLessThanOrEqual(made.endS);
      expect(formulaBound(task)).toBeLessThanOrEqual(made.endS);
    }
  });
});

describe('policies', () => {
  it('with one strip at a time pull each before the next is laid', () => {
    const end = runPolicy(input([job('a'), job('b'), job('c')]), { limit: 1, sides: 'stay' });
    expect(end?.nowS).toBe(111);
    expect(opsOf(end ?? emptyTable(0)).map((o) => o.kind)).toEqual(['lay', 'pull', 'lay', 'pull', 'lay', 'pull']);
  });
  it('are more where there are two sides', () => {
    expect(allPolicies(input([job('a'), job('b')]))).toHaveLength(3);
    expect(allPolicies(input([job('a', { side: 'left' }), job('b', { side: 'right' })]))).toHaveLength(9);
  });
  it('give up on a task that cannot be kept in time, unless late pulls are allowed', () => {
    const impossible = input([job('a', { setMaxS: 20 }), job('b', { coats: 2, setMaxS: 19, setMinS: 20 })]);
    expect(bestPolicy(impossible)).toBeNull();
    expect(bestPolicy(impossible, undefined, true)).not.toBeNull();
  });
});

describe('searchSchedule', () => {
  it('finds nothing where nothing beats the known end, and says when it gave up', () => {
    const task = input([job('a'), job('b')]);
    expect(searchSchedule(task, { relaxed: false, beatS: 10, maxLabels: 1000 }).best).toBeNull();
    const many = input(Array.from({ length: 9 }, (_, i) => job(`s${i}`)));
    expect(searchSchedule(many, { relaxed: true, beatS: Infinity, maxLabels: 5 }).outcome).toBe('gave-up');
  });
  it('leaves every strip off and none twice', () => {
    const task = randomTask(seededRandom(8), 6);
    const { best } = searchSchedule(task, { relaxed: true, beatS: Infinity, maxLabels: 200_000 });
    expect(best?.stage.every((s) => s === OFF)).toBe(true);
    expect(
      opsOf(best ?? emptyTable(0))
        .filter((o) => o.kind === 'pull')
        .map((o) => o.job)
        .sort(),
    ).toEqual([0, 1, 2, 3, 4, 5]);
    expect(best?.stage.includes(SETTING)).toBe(false);
  });
});

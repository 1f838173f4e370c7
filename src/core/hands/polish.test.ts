import { describe, expect, it } from 'vitest';
import { seededRandom } from '../shared';
import { bestPolicy } from './policies';
import { randomTask } from './randomTask';
import { polished } from './polish';
import { emptyTable, opsOf, step } from './state';
import type { HandsInput, StripJob } from './types';

const laid = (state: ReturnType<typeof emptyTable>): readonly number[] =>
  opsOf(state)
    .filter((o) => o.kind === 'lay')
    .map((o) => o.job);
const alike = (n: number, more: (i: number) => Partial<StripJob> = () => ({})): HandsInput => ({
  maxOnSkin: 3,
  walkS: 6,
  jobs: Array.from({ length: n }, (_, i): StripJob => ({
    id: `s${i}`,
    side: null,
    layS: 10,
    coats: 1,
    setMinS: 30,
    setMaxS: 120,
    pullS: 4,
    pressS: 3,
    needs: [],
    touches: [],
    ...more(i),
  })),
});
/** Lays three, pulls three, and so on, backwards through the strips. */
function backwards(input: HandsInput): ReturnType<typeof emptyTable> {
  const back = input.jobs.map((_, i) => input.jobs.length - 1 - i);
  const acts = Array.from({ length: Math.ceil(back.length / 3) }, (_, k) => back.slice(3 * k, 3 * k + 3)).flatMap(
    (three) => [...three, ...three],
  );
  return acts.reduce((state, i) => step(state, input, i), emptyTable(input.jobs.length));
}

/** Greatest where strips are laid in their own order. */
const inOrder = (order: readonly number[]): number => order.reduce((s, strip, place) => s + strip * place, 0);

describe('polished', () => {
  it('lays strips that are alike in their own order, in the same time', () => {
    const input = alike(6);
    const end = backwards(input);
    expect(laid(end)).toEqual([5, 4, 3, 2, 1, 0]);
    const tidy = polished(input, end, 4000, 'order');
    expect(laid(tidy)).toEqual([0, 1, 2, 3, 4, 5]);
    expect(tidy.nowS).toBeLessThanOrEqual(end.nowS);
  });
  it('never lays a strip before what it needs', () => {
    // 0 needs 5: it stays behind it
    const needing = alike(6, (i) => (i === 0 ? { needs: [5] } : {}));
    const order = laid(polished(needing, backwards(needing), 4000, 'order'));
    expect(order.indexOf(0)).toBeGreaterThan(order.indexOf(5));
  });
  it('ends no later on any task; asked for order it is no farther from the strips’ own where it ends alike', () => {
    const random = seededRandom(7);
    for (let k = 0; k < 40; k++) {
      const input = randomTask(random, random.whole(3, 20));
      const end = bestPolicy(input);
      if (!end) throw new Error('a task has a policy that holds');
      for (const want of ['time', 'order'] as const) {
        const tidy = polished(input, end, 2000, want);
        expect(tidy.nowS).toBeLessThanOrEqual(end.nowS);
        expect(tidy.lateS).toBe(0);
        if (want === 'order' && tidy.nowS === end.nowS) {
          expect(inOrder(laid(tidy))).toBeGreaterThanOrEqual(inOrder(laid(end)));
        }
        expect([...laid(tidy)].sort((a, b) => a - b)).toEqual(input.jobs.map((_, i) => i));
        // the same every time
        expect(opsOf(polished(input, end, 2000, want))).toEqual(opsOf(tidy));
      }
    }
  });
});

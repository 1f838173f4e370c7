// Random schedule tasks for the comparison with the reference solver (tests and bench).

import type { Random } from '../shared';
import type { HandsInput, StripJob } from './types';

/**
 * A task of `n` strips on one or two sides, with tab chains and touching neighbours as layouts have them; two coats lie
 * on all of them or on none.
 */
export function randomTask(random: Random, n: number, coats: 1 | 2 = 1): HandsInput {
  const sides = random.next() < 0.5;
  const setMinS = random.whole(15, 45);
  const touches: Set<number>[] = Array.from({ length: n }, () => new Set());
  for (let i = 1; i < n; i++) {
    if (random.next() < 0.6) {
      touches[i]?.add(i - 1);
      touches[i - 1]?.add(i);
    }
  }
  const jobs = Array.from({ length: n }, (_, i): StripJob => {
    const own = setMinS + random.whole(0, 6);
    const chained = i > 0 && random.next() < 0.35 ? [random.whole(Math.max(0, i - 3), i - 1)] : [];
    const side = i % 2 === 0 ? 'left' : 'right';
    return {
      id: `s${i}`,
      side: sides ? side : null,
      layS: random.whole(8, 15),
      coats,
      setMinS: own,
      setMaxS: own + random.whole(25, 80),
      pullS: random.whole(3, 5),
      pressS: 3,
      needs: chained,
      touches: [...(touches[i] ?? [])],
    };
  });
  return { jobs, maxOnSkin: random.whole(1, 4), walkS: random.whole(4, 8) };
}

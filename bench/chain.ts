// Strips that lean on one another, two sides in turns: a task for the schedule.

import type { HandsInput, StripJob } from '../src/core/hands';

export const chain = (n: number): HandsInput => ({
  maxOnSkin: 3,
  walkS: 6,
  jobs: Array.from({ length: n }, (_, i): StripJob => ({
    id: `s${i}`,
    side: i % 2 === 0 ? 'left' : 'right',
    layS: 10 + (i % 4),
    coats: 1,
    setMinS: 25,
    setMaxS: 100,
    pullS: 4,
    pressS: 3,
    needs: i >= 6 ? [i - 6] : [],
    touches: [i - 2, i + 2].filter((t) => t >= 0 && t < n),
  })),
});

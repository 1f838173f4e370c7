// What a planning thread makes before anyone asks: the engine's code runs several times faster once the machine has
// compiled it for these shapes, so the first plan of the day is not the slow one.

import 'server-only';
import { SHIPPED_PRODUCTS } from '@/core/products';
import type { ZoneCase } from '@/core/plan';
import type { PlanQuestion } from './plan.thread';
import type { PlanThreads } from './threads';

const ZONES: readonly Pick<ZoneCase, 'zone' | 'side'>[] = [
  { zone: 'lower-leg-front', side: 'left' },
  { zone: 'upper-back', side: 'middle' },
  { zone: 'underarm', side: 'left' },
];
/** Rounds after which a plan takes no less time the next time. */
const ROUNDS = 9;
/** Between rounds a plan that somebody waits for goes first. */
const PAUSE_MS = 200;

/** A made-up case, another length each round so that nothing is remembered. */
const question = (round: number): PlanQuestion => ({
  visitCase: {
    version: 1,
    on: '2027-05-14',
    client: { consent: true },
    zones: [
      {
        ...(ZONES[round % ZONES.length] ?? { zone: 'underarm', side: 'left' }),
        hair: { lengthMm: 6 + 0.1 * round, coarseness: 3, density: 3 },
      },
    ],
  },
  currency: 'EUR',
  catalogue: SHIPPED_PRODUCTS,
});

/** Runs all threads warm, side by side. Settles when they are; a thread that was ended in between is no fault. */
export async function warmUp({ count, run }: Pick<PlanThreads, 'count' | 'run'>, pauseMs = PAUSE_MS): Promise<void> {
  for (let round = 0; round < ROUNDS; round++) {
    await Promise.allSettled(Array.from({ length: count }, () => run(question(round))));
    await new Promise((resolve) => setTimeout(resolve, pauseMs));
  }
}

import { expect, it } from 'vitest';
import { planVisit } from '../../core/plan';
import type { PlanQuestion } from './plan.thread';
import { warmUp } from './warmUp';

it('asks every thread at once, each time something that can be planned and has not been asked before', async () => {
  const asked: PlanQuestion[] = [];
  let [atOnce, most] = [0, 0];
  const run = async (q: PlanQuestion): Promise<{ ok: true; packed: Uint8Array }> => {
    asked.push(q);
    most = Math.max(most, ++atOnce);
    await Promise.resolve();
    atOnce--;
    // a thread that was ended meanwhile stops nothing
    if (asked.length === 3) throw new Error('ended');
    return { ok: true, packed: new Uint8Array() };
  };
  await warmUp({ count: 2, run }, 0);
  expect(most).toBe(2);
  const cases = new Set(asked.map((q) => JSON.stringify(q.visitCase)));
  expect([asked.length, cases.size]).toEqual([18, 9]);
  const made = planVisit(asked[0]?.visitCase as PlanQuestion['visitCase'], { catalogue: asked[0]?.catalogue ?? [] });
  expect(made.ok && made.value.zones[0]?.strips.length).toBeGreaterThan(5);
});

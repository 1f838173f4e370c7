// Schedules against HiGHS on random tasks of up to eight strips: gaps and times.

import highsLoader from 'highs';
import { scheduleHands, type HandsInput } from '../src/core/hands';
import { handsMilp } from '../src/core/hands/milpReference';
import type { Random } from '../src/core/shared';

export async function compareWithMilp(
  count: number,
  random: Random,
  task: (random: Random, n: number) => HandsInput,
): Promise<void> {
  const highs = await highsLoader();
  let [equal, undecided] = [0, 0];
  for (let k = 0; k < count; k++) {
    const input = task(random, random.whole(2, 8));
    const ours = scheduleHands(input);
    const solved = highs.solve(handsMilp(input, ours.endS), { time_limit: 60 });
    // an end that HiGHS holds for impossible is a fault of ours, not an open question
    if (solved.Status === 'Infeasible') console.log(`  task ${k}: ours ${ours.endS} s, which HiGHS cannot reach`);
    else if (solved.Status !== 'Optimal') undecided++;
    else if (Math.round(solved.ObjectiveValue) === ours.endS) equal++;
    else console.log(`  task ${k}: ours ${ours.endS} s, HiGHS ${solved.ObjectiveValue} s`);
    // HiGHS needs some minutes for 200
    if ((k + 1) % 20 === 0) console.log(`  ${k + 1} tasks: ${equal} equal, ${undecided} not decided`);
  }
  console.log(
    `\nSchedules against HiGHS: ${equal} of ${count - undecided} equal, ${undecided} not decided by HiGHS within 60 s`,
  );
}

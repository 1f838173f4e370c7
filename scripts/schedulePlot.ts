// Plot for docs/strips.md: what a schedule costs to compute, from 5 to 80 strips. `node --import tsx
// scripts/schedulePlot.ts`

import { scheduleHands } from '../src/core/hands';
import { randomTask } from '../src/core/hands/randomTask';
import { seededRandom } from '../src/core/shared';
import { plot, writePlot } from './plot';

const COUNTS = [5, 8, 10, 12, 16, 20, 30, 40, 50, 60, 70, 80];
const TASKS = 7;

const rows = COUNTS.map((n) => {
  const random = seededRandom(100 + n);
  const times = Array.from({ length: TASKS }, () => {
    const task = randomTask(random, n);
    const from = performance.now();
    scheduleHands(task);
    return performance.now() - from;
  }).sort((a, b) => a - b);
  const [median, worst] = [times[Math.floor(TASKS / 2)] ?? 0, times.at(-1) ?? 0];
  console.log(`${n} strips: median ${median.toFixed(0)} ms, worst of ${TASKS} ${worst.toFixed(0)} ms`);
  return { n, median: Math.max(1, median), worst: Math.max(1, worst) };
});
writePlot(
  'schedule-cost',
  plot(
    'Computing a schedule',
    { label: 'strips in one task', ticks: [0, 10, 20, 30, 40, 50, 60, 70, 80] },
    { label: 'ms', ticks: [1, 10, 100, 1000, 10_000], log: true },
    [
      {
        name: 'median of 7 tasks',
        mark: 'line',
        colour: '#94530b',
        points: rows.map((r): [number, number] => [r.n, r.median]),
      },
      {
        name: 'worst of 7',
        mark: 'dots',
        colour: '#9e2f2a',
        points: rows.map((r): [number, number] => [r.n, r.worst]),
      },
    ],
  ),
);

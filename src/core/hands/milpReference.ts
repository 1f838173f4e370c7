// Reference for tests and bench: the schedule of the hands as a mixed-integer linear programme in CPLEX LP text, for HiGHS.
// Start times L (lay) and P (pull), order binaries for every pair of acts and of intervals, slots for at most K on the skin.
// Precedence is closed transitively and fixed into the order binaries (plain big-M alone once gave a wrong optimum).

import type { HandsInput, StripJob } from './types';

interface Act {
  readonly name: string;
  readonly job: number;
  readonly kind: 'L' | 'P';
  readonly lasts: number;
  readonly side: StripJob['side'];
}

/** Pairs [before, after] of jobs, closed transitively. */
function closedNeeds(jobs: readonly StripJob[]): ReadonlySet<string> {
  const reach = (i: number, seen = new Set<number>()): Set<number> => {
    for (const n of jobs[i]?.needs ?? []) if (!seen.has(n)) reach(n, seen.add(n));
    return seen;
  };
  return new Set(jobs.flatMap((_, j) => [...reach(j)].map((i) => `${i}>${j}`)));
}

/** LP text whose optimum is the least makespan. One coat a strip. */
export function handsMilp({ jobs, maxOnSkin, walkS }: HandsInput, horizonS: number): string {
  const M = horizonS + 100; // differences of start times plus the longest gap
  const rows: string[] = [];
  const binaries: string[] = [];
  const acts: readonly Act[] = jobs.flatMap((j, i): Act[] => [
    { name: `L${i}`, job: i, kind: 'L', lasts: j.layS, side: j.side },
    { name: `P${i}`, job: i, kind: 'P', lasts: j.pullS + j.pressS, side: j.side },
  ]);
  const before = closedNeeds(jobs);
  const surely = (a: Act, b: Act): boolean => (a.job === b.job ? a.kind === 'L' : before.has(`${a.job}>${b.job}`));
  const gap = (a: Act, b: Act): number => a.lasts + (a.side && b.side && a.side !== b.side ? walkS : 0);
  jobs.forEach((j, i) => {
    rows.push(`P${i} - L${i} >= ${j.layS + j.setMinS}`, `P${i} - L${i} <= ${j.layS + j.setMaxS}`, `C - P${i} >= ${j.pullS + j.pressS}`);
  });
  acts.forEach((a, x) => acts.slice(x + 1).forEach((b) => {
    if (surely(a, b)) rows.push(`${b.name} - ${a.name} >= ${gap(a, b)}`);
    else if (surely(b, a)) rows.push(`${a.name} - ${b.name} >= ${gap(b, a)}`);
    else {
      const y = `y_${a.name}_${b.name}`;
      binaries.push(y);
      rows.push(`${b.name} - ${a.name} - ${M} ${y} >= ${gap(a, b) - M}`, `${a.name} - ${b.name} + ${M} ${y} >= ${gap(b, a)}`);
    }
  }));
  jobs.forEach((a, i) => {
    const slots = Array.from({ length: maxOnSkin }, (_, k) => `s_${i}_${k}`);
    binaries.push(...slots);
    rows.push(`${slots.join(' + ')} = 1`);
    jobs.slice(i + 1).forEach((b, d) => {
      const j = i + 1 + d;
      if (before.has(`${i}>${j}`) || before.has(`${j}>${i}`)) return;
      const z = `z_${i}_${j}`;
      binaries.push(z);
      const [first, second] = [`L${j} - P${i} - ${M} ${z}`, `L${i} - P${j} + ${M} ${z}`];
      if (a.touches.includes(j)) rows.push(`${first} >= ${a.pullS - M}`, `${second} >= ${b.pullS}`);
      else {
        for (let k = 0; k < maxOnSkin; k++) {
          rows.push(`${first} - ${M} s_${i}_${k} - ${M} s_${j}_${k} >= ${a.pullS - 3 * M}`, `${second} - ${M} s_${i}_${k} - ${M} s_${j}_${k} >= ${b.pullS - 2 * M}`);
        }
      }
    });
  });
  return `Minimize\n obj: C\nSubject To\n${rows.map((r, i) => ` c${i}: ${r}`).join('\n')}\nBounds\n C <= ${horizonS}\nBinary\n ${binaries.join('\n ')}\nEnd\n`;
}

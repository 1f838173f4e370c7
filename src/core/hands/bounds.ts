// Lower bounds on the time that is still needed: never more than any schedule can do.

import { FIRST_COAT, OFF, UNLAID, type TableState } from './state';
import { leastRestAndSetS, leastSetS, type HandsInput, type StripJob } from './types';

/** Hands' work of one job, s. */
export const workOf = (job: StripJob): number => job.coats * job.layS + job.pullS + job.pressS;
/** Time from the start of its lay to the end of its press, at least. */
export const spanOf = (job: StripJob): number => workOf(job) + leastRestAndSetS(job);

export interface BoundTables {
  /** Longest chain of needsBefore from the start of a job's lay to the end of all. */
  readonly tailS: readonly number[];
  /** Longest chain that starts once the job is off. */
  readonly afterS: readonly number[];
}

export function boundTables(jobs: readonly StripJob[]): BoundTables {
  const followers: number[][] = jobs.map(() => []);
  jobs.forEach((job, i) => {
    for (const n of job.needs) followers[n]?.push(i);
  });
  const tail: (number | undefined)[] = jobs.map(() => undefined);
  const tailOf = (i: number): number => {
    const known = tail[i];
    if (known !== undefined) return known;
    const job = jobs[i];
    const value = job ? spanOf(job) + Math.max(0, ...(followers[i] ?? []).map(tailOf)) : 0;
    tail[i] = value;
    return value;
  };
  const tailS = jobs.map((_, i) => tailOf(i));
  const afterS = jobs.map((_, i) => Math.max(0, ...(followers[i] ?? []).map((f) => tailS[f] ?? 0)));
  return { tailS, afterS };
}

/** Earliest end of everything from a state on: hands' work, chains, waits of the last strips. */
export function remainingBound(state: TableState, input: HandsInput, tables: BoundTables): number {
  let work = 0;
  let bound = state.nowS;
  let open = false;
  for (let i = 0; i < input.jobs.length; i++) {
    const stage = state.stage[i];
    if (stage === OFF) continue;
    const job = input.jobs[i] as StripJob; // i < length
    open = true;
    const finish = job.pullS + job.pressS;
    if (stage === UNLAID) {
      work += workOf(job);
      bound = Math.max(bound, state.nowS + (tables.tailS[i] ?? 0));
    } else {
      const coat = stage === FIRST_COAT ? job.layS + leastSetS(job) : 0;
      work += (stage === FIRST_COAT ? job.layS : 0) + finish;
      const start = Math.max(state.nowS, state.readyS[i] ?? 0);
      bound = Math.max(bound, start + coat + finish + (tables.afterS[i] ?? 0));
    }
  }
  return open ? Math.max(bound, state.nowS + work) : state.nowS;
}

/** Bound for the whole task: hands, chains, cliques of touching strips, slots on the skin; s. */
export function formulaBound(input: HandsInput): number {
  const { jobs } = input;
  if (jobs.length === 0) return 0;
  const { tailS } = boundTables(jobs);
  const work = jobs.reduce((s, j) => s + workOf(j), 0);
  // the last strip pulled still had to set, and while the first sets nothing else may be pulled: idle unless another
  // job fills it
  const sides = new Set(jobs.flatMap((j) => (j.side ? [j.side] : [])));
  const hands = work + Math.max(sides.size > 1 ? input.walkS : 0, unavoidableIdle(input));
  const chain = Math.max(...tailS);
  const clique = heaviestClique(jobs);
  const slots = Math.ceil(
    jobs.reduce((s, j) => s + spanOf(j) - j.pressS, 0) / Math.min(input.maxOnSkin, largestFreeSet(jobs)),
  );
  return Math.max(hands, chain, clique, slots);
}

/** While the last strip sets, only strips laid before it can be pulled: at most maxOnSkin − 1 of them. */
function unavoidableIdle({ jobs, maxOnSkin }: HandsInput): number {
  const pulls = jobs.map((j) => j.pullS + j.pressS).sort((a, b) => b - a);
  const fill = pulls.slice(0, maxOnSkin - 1).reduce((a, b) => a + b, 0);
  const least = Math.min(...jobs.map(leastSetS));
  return Math.max(0, least - fill);
}

/** Greedy clique of mutually touching strips, weighted by their time on the skin plus press of the last. */
function heaviestClique(jobs: readonly StripJob[]): number {
  let best = 0;
  jobs.forEach((_, start) => {
    const clique = [start];
    const byWeight = (jobs[start]?.touches ?? [])
      .slice()
      .sort((a, b) => spanOf(jobs[b] as StripJob) - spanOf(jobs[a] as StripJob)); // touches hold job indices
    for (const t of byWeight) if (clique.every((c) => jobs[c]?.touches.includes(t))) clique.push(t);
    const onSkin = clique.reduce((s, c) => s + spanOf(jobs[c] as StripJob) - (jobs[c]?.pressS ?? 0), 0);
    best = Math.max(best, onSkin + Math.min(...clique.map((c) => jobs[c]?.pressS ?? 0)));
  });
  return best;
}

/** Upper bound on how many strips can lie on the skin without touching: greedy clique cover of the touching graph. */
function largestFreeSet(jobs: readonly StripJob[]): number {
  const left = new Set(jobs.keys());
  let cliques = 0;
  for (const i of jobs.keys()) {
    if (!left.has(i)) continue;
    const clique = [i];
    left.delete(i);
    for (const t of jobs[i]?.touches ?? []) {
      if (left.has(t) && clique.every((c) => jobs[c]?.touches.includes(t))) {
        clique.push(t);
        left.delete(t);
      }
    }
    cliques++;
  }
  return Math.max(1, cliques);
}

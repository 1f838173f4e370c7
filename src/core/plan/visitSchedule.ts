// One schedule for all zones of a visit: zones that share a product are one task for the hands where they are few, else
// pair by pair; products follow each other with a change of pot and gloves. Gaps while strips set get a small job.

import { scheduleHands, type Op, type StripJob } from '../hands';
import type { ZoneId } from '../anatomy';
import { planMemory, type PlanMemory } from './planMemory';
import type { PotStage } from './potHeat';

/** Change of pot and gloves, s (from memory). */
export const CHANGE_S = 20;
/** Zones of one product are scheduled as one task up to this many strips. */
const JOINT_JOBS = 14;
/** A gap this long is worth a small job. */
const SMALL_JOB_S = 5;

export interface ZoneJobs {
  readonly zone: ZoneId;
  readonly product: string;
  /** Which of the pot's heats it is worked at: a place in the stages. */
  readonly stage: number;
  readonly jobs: readonly StripJob[];
}

export type Deed = 'lay' | 'pull' | 'press' | 'walk' | 'change' | 'tweeze' | 'powder' | 'cleanse' | 'wait';

export interface ScheduleEvent {
  readonly atS: number;
  readonly do: Deed;
  readonly strip: string | null;
  readonly forS: number;
}

export interface VisitSchedule {
  readonly endS: number;
  readonly lowerBoundS: number;
  readonly bound: 'proven' | 'formula';
  readonly maxOnSkin: number;
  readonly feasible: boolean;
  /** What is worked together, in order: one product, one or more zones. */
  readonly groups: readonly {
    readonly product: string;
    readonly strips: readonly string[];
    /** Heat of the pot, °C, at touch and in the pot. */
    readonly touchC: number | null;
    readonly potC: number | null;
    /** The pot comes down this long before, s; 0 where it need not. */
    readonly coolS: number;
  }[];
  readonly events: readonly ScheduleEvent[];
}

/** Joins zones of one group; needs and touches keep pointing within their zone. */
function joinJobs(zones: readonly ZoneJobs[]): readonly StripJob[] {
  const all: StripJob[] = [];
  for (const z of zones) {
    const offset = all.length;
    all.push(
      ...z.jobs.map((j) => ({
        ...j,
        needs: j.needs.map((n) => n + offset),
        touches: j.touches.map((t) => t + offset),
      })),
    );
  }
  return all;
}

/**
 * Groups in order of work: by product in the order given, then all together or zone by zone (both sides of a zone
 * together).
 */
function groupsOf(zones: readonly ZoneJobs[]): readonly (readonly ZoneJobs[])[] {
  const products = [...new Set(zones.map((z) => z.product))];
  // the stages of one pot stand from the warmest to the coolest
  const pots = products.flatMap((product) =>
    [...new Set(zones.filter((z) => z.product === product).map((z) => z.stage))]
      .sort((a, b) => a - b)
      .map((stage) => ({ product, stage })),
  );
  return pots.flatMap(({ product, stage }) => {
    const own = zones.filter((z) => z.product === product && z.stage === stage && z.jobs.length > 0);
    if (own.length === 0) return [];
    if (own.reduce((n, z) => n + z.jobs.length, 0) <= JOINT_JOBS) return [own];
    return [...new Set(own.map((z) => z.zone))].map((id) => own.filter((z) => z.zone === id));
  });
}

function eventsOf(ops: readonly Op[], jobs: readonly StripJob[], fromS: number): readonly ScheduleEvent[] {
  const events: ScheduleEvent[] = [];
  let now = 0;
  let pulled = 0;
  const push = (at: number, deed: Deed, strip: string | null, forS: number): void => {
    if (forS > 0) events.push({ atS: fromS + at, do: deed, strip, forS });
  };
  for (const op of ops) {
    const job = jobs[op.job];
    if (!job) continue;
    if (op.walkS > 0) push(now, 'walk', null, op.walkS);
    const idle = op.startS - now - op.walkS;
    const smallJob = pulled > 0 ? 'tweeze' : 'powder';
    push(now + op.walkS, idle < SMALL_JOB_S ? 'wait' : smallJob, null, idle);
    if (op.kind === 'pull') {
      push(op.startS, 'pull', job.id, job.pullS);
      push(op.startS + job.pullS, 'press', job.id, job.pressS);
      pulled++;
    } else push(op.startS, 'lay', job.id, job.layS);
    now = op.endS;
  }
  return events;
}

type Heat = Pick<PotStage, 'touchC' | 'potC' | 'coolS'>;

/** What is waited before a stage; a pot that would not come down by itself is not waited for: the wrist says when. */
const coolingOf = (stages: readonly Heat[], stage: number): number => stages[stage]?.coolS ?? 0;

/** The schedule of the first pass. Times in whole seconds from the first lay; `endS` includes the last press. */
export function visitSchedule(
  zones: readonly ZoneJobs[],
  maxOnSkin: number,
  walkS: number,
  memory: PlanMemory = planMemory(),
  stages: readonly Heat[] = [],
): VisitSchedule {
  const groups = groupsOf(zones);
  const events: ScheduleEvent[] = [];
  let endS = 0;
  let hands = 0;
  let feasible = true;
  let only: { lowerBoundS: number; bound: 'proven' | 'formula' } | null = null;
  let before: { product: string; stage: number; side: StripJob['side'] } | null = null;
  for (const group of groups) {
    const jobs = joinJobs(group);
    const task = { jobs, maxOnSkin, walkS };
    const schedule = memory.schedules(JSON.stringify(['full', task]), () => scheduleHands(task));
    const product = group[0]?.product ?? '';
    const stage = group[0]?.stage ?? 0;
    const firstSide = jobs[schedule.ops[0]?.job ?? 0]?.side ?? null;
    if (before && before.product !== product) {
      events.push({ atS: endS, do: 'change', strip: null, forS: CHANGE_S });
      endS += CHANGE_S;
      hands += CHANGE_S;
    } else if (before && before.stage !== stage && coolingOf(stages, stage) > 0) {
      const coolS = coolingOf(stages, stage);
      events.push({ atS: endS, do: 'wait', strip: null, forS: coolS });
      endS += coolS;
    } else if (before?.side && firstSide && before.side !== firstSide && walkS > 0) {
      events.push({ atS: endS, do: 'walk', strip: null, forS: walkS });
      endS += walkS;
    }
    events.push(...eventsOf(schedule.ops, jobs, endS));
    endS += schedule.endS;
    hands += jobs.reduce((s, j) => s + j.coats * j.layS + j.pullS + j.pressS, 0);
    feasible &&= schedule.feasible;
    only = groups.length === 1 ? schedule : null;
    before = { product, stage, side: jobs[schedule.ops.at(-1)?.job ?? 0]?.side ?? null };
  }
  // several groups: only the hands' own work is a bound for every way of interleaving them
  const bound = only ?? { lowerBoundS: hands, bound: 'formula' as const };
  return {
    endS,
    lowerBoundS: Math.min(endS, bound.lowerBoundS),
    bound: bound.bound,
    maxOnSkin,
    feasible,
    events,
    groups: groups.map((g, k) => {
      const stage = g[0]?.stage ?? -1;
      return {
        product: g[0]?.product ?? '',
        strips: joinJobs(g).map((j) => j.id),
        touchC: stages[stage]?.touchC ?? null,
        potC: stages[stage]?.potC ?? null,
        coolS: groups[k - 1]?.[0]?.stage === stage ? 0 : coolingOf(stages, stage),
      };
    }),
  };
}

// The schedule of a visit: its rounds one after the other, with the turns, changes of pot and walks between them. Gaps
// while strips set get a small job.

import { zoneKey, type Position, type Side } from '../anatomy';
import type { Op, SidesBy, StripJob } from '../hands';
import {
  joinJobs,
  roundSchedule,
  visitRounds,
  type HandsLimits,
  type PartPattern,
  type RoundSchedule,
  type ZoneJobs,
} from '../rounds';
import { planMemory, type PlanMemory } from './planMemory';
import type { PotStage } from './potHeat';

/** Change of pot and gloves, s (from memory). */
export const CHANGE_S = 20;
/** A gap this long is worth a small job. */
const SMALL_JOB_S = 5;

/** A zone of the visit with what its place in the rounds hangs on. */
export interface VisitZone extends ZoneJobs {
  readonly product: string;
  /** Which of the pot's heats it is worked at: a place in the stages. */
  readonly stage: number;
  readonly position?: Position | undefined;
}

export type Deed =
  'lay' | 'pull' | 'press' | 'walk' | 'change' | 'turn' | 'pose' | 'tweeze' | 'powder' | 'cleanse' | 'wait';

export interface ScheduleEvent {
  readonly atS: number;
  readonly do: Deed;
  readonly strip: string | null;
  readonly forS: number;
}

/** One zone, both sides of it, or two small zones by turns, laid in one order. */
export interface RoundPart {
  /** Zone keys. */
  readonly zones: readonly string[];
  /** Null where the order is the quickest, not one to remember. */
  readonly pattern: PartPattern | null;
  readonly sides: SidesBy | null;
}

/** Worked without turning the client, from one pot at one heat. */
export interface ScheduleRound {
  readonly position: Position;
  readonly product: string;
  /** Zone keys in the order of work. */
  readonly zones: readonly string[];
  /** In the order of the zones. */
  readonly strips: readonly string[];
  readonly fromS: number;
  readonly toS: number;
  readonly parts: readonly RoundPart[];
  /** Heat of the pot, °C, at touch and in the pot. */
  readonly touchC: number | null;
  readonly potC: number | null;
  /** The pot comes down this long before, s; 0 where it need not. */
  readonly coolS: number;
}

export interface VisitSchedule {
  readonly endS: number;
  readonly lowerBoundS: number;
  readonly bound: 'proven' | 'formula';
  /** The earliest end known for any order, the same rounds. */
  readonly quickestS: number;
  readonly maxOnSkin: number;
  readonly feasible: boolean;
  readonly rounds: readonly ScheduleRound[];
  readonly events: readonly ScheduleEvent[];
}

export interface VisitLimits extends HandsLimits {
  /** Turning the client over, s. */
  readonly turnS: number;
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
    const there = now + op.walkS + op.poseS;
    push(now, 'walk', null, op.walkS);
    push(now + op.walkS, 'pose', job.id, op.poseS);
    const idle = op.startS - there;
    const smallJob = pulled > 0 ? 'tweeze' : 'powder';
    push(there, idle < SMALL_JOB_S ? 'wait' : smallJob, null, idle);
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

export interface VisitSettings {
  readonly memory?: PlanMemory;
  readonly stages?: readonly Heat[];
  /** Zones asked for before others, by place in the list. */
  readonly wish?: readonly number[];
}

/** What a round is made of, once it is known which zones it has. */
interface Made {
  readonly zones: readonly VisitZone[];
  readonly jobs: readonly StripJob[];
  readonly schedule: RoundSchedule;
  readonly position: Position;
  readonly product: string;
  readonly stage: number;
}

/** Between two rounds: the client turns, the pot is changed or comes down, or only the side is changed. */
function between(before: Made, next: Made, limits: VisitLimits, coolS: number): readonly (readonly [Deed, number])[] {
  const turn: readonly (readonly [Deed, number])[] =
    before.position === next.position ? [] : [['turn', limits.turnS] as const];
  if (before.product !== next.product) return [...turn, ['change', CHANGE_S] as const];
  // the pot comes down while the client turns
  const turned = turn.reduce((s, [, forS]) => s + forS, 0);
  if (before.stage !== next.stage && coolS > turned) return [...turn, ['wait', coolS - turned] as const];
  const sideOf = (m: Made, op: Op | undefined): Side | null => (op && m.jobs[op.job]?.side) ?? null;
  const [from, to] = [sideOf(before, before.schedule.ops.at(-1)), sideOf(next, next.schedule.ops[0])];
  return turn.length === 0 && from && to && from !== to ? [['walk', limits.walkS] as const] : turn;
}

/** The schedule of the first pass. Times in whole seconds from the first lay; `endS` includes the last press. */
export function visitSchedule(
  zones: readonly VisitZone[],
  limits: VisitLimits,
  { memory = planMemory(), stages = [], wish = [] }: VisitSettings = {},
): VisitSchedule {
  const filled = zones.filter((z) => z.jobs.length > 0);
  const wished = wish.flatMap((i) => {
    const zone = zones[i];
    return zone && filled.includes(zone) ? [filled.indexOf(zone)] : [];
  });
  const { maxOnSkin, walkS, poseS, order } = limits;
  const made = visitRounds(filled, wished).map((round): Made => {
    const own = round.zones.flatMap((i) => filled[i] ?? []);
    const task = own.map(({ zone, side, jobs, places }) => ({ zone, side, jobs, places }));
    const hands = { maxOnSkin, walkS, poseS, order };
    return {
      ...round,
      zones: own,
      jobs: joinJobs(own),
      schedule: memory.rounds(JSON.stringify([task, hands]), () => roundSchedule(task, hands)),
    };
  });
  const events: ScheduleEvent[] = [];
  const rounds: ScheduleRound[] = [];
  let [endS, gapsS, boundS, quickestS] = [0, 0, 0, 0];
  made.forEach((m, k) => {
    const before = made[k - 1];
    const coolS = before?.product === m.product && before.stage !== m.stage ? (stages[m.stage]?.coolS ?? 0) : 0;
    for (const [deed, forS] of before ? between(before, m, limits, coolS) : []) {
      if (forS > 0) events.push({ atS: endS, do: deed, strip: null, forS });
      endS += forS;
      // a walk might not be needed in another order
      if (deed !== 'walk') gapsS += forS;
    }
    const { schedule } = m;
    events.push(...eventsOf(schedule.ops, m.jobs, endS));
    rounds.push({
      position: m.position,
      product: m.product,
      zones: m.zones.map(zoneKey),
      strips: m.jobs.map((j) => j.id),
      fromS: endS,
      toS: endS + schedule.endS,
      parts: schedule.parts.map(({ zones: of, pattern, sides }) => ({
        zones: of.flatMap((i) => m.zones[i] ?? []).map(zoneKey),
        pattern,
        sides,
      })),
      touchC: stages[m.stage]?.touchC ?? null,
      potC: stages[m.stage]?.potC ?? null,
      coolS,
    });
    endS += schedule.endS;
    boundS += schedule.lowerBoundS;
    quickestS += schedule.quickestS;
  });
  const walksS = events.filter((e) => e.do === 'walk' && rounds.some((r) => r.fromS === e.atS + e.forS)).length * walkS;
  return {
    endS,
    lowerBoundS: Math.min(endS, boundS + gapsS),
    bound: made.length > 0 && made.every((m) => m.schedule.bound === 'proven') && walksS === 0 ? 'proven' : 'formula',
    quickestS: Math.min(endS, quickestS + gapsS + walksS),
    maxOnSkin,
    feasible: made.every((m) => m.schedule.feasible),
    rounds,
    events,
  };
}

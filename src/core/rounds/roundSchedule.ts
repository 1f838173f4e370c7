// The schedule of one round: zones of one position, one pot and one heat, worked as one task for the hands. Each zone,
// or pair of sides, gets an order that a hand can remember; the orders follow each other and are scheduled together, so
// that the next zone is begun while the last strips of the one before set.

import type { Side, ZoneId } from '../anatomy';
import { ONE_SIDE_FIRST, poseKey, TWO_HALVES } from '../anatomy';
import {
  tableAfter,
  inCourses,
  patternSchedule,
  scheduleHands,
  scheduleInOrder,
  opsOf,
  type HandsInput,
  type Op,
  type PatternName,
  type Place,
  type SidesBy,
  type StripJob,
  type TableState,
} from '../hands';

/** The strips of one zone as a task for the hands. */
export interface ZoneJobs {
  readonly zone: ZoneId;
  readonly side: Side;
  readonly jobs: readonly StripJob[];
  /** Where each lies on the sheet; of a right side in the mirror. */
  readonly places: readonly Place[];
}

export interface HandsLimits {
  readonly maxOnSkin: number;
  readonly walkS: number;
  readonly poseS: number;
  /** `followable`: an order that can be remembered; `quickest`: whatever ends first. */
  readonly order: 'followable' | 'quickest';
}

/** The order of one part: a pattern, or two small zones by turns. */
export type PartPattern = PatternName | 'zones-in-turn';

/** What is laid in one order: a zone, both sides of it, or two small zones by turns. */
export interface PatternedPart {
  /** Places in the list given. */
  readonly zones: readonly number[];
  /** Null where the free search was asked for, or no pattern can be worked in time. */
  readonly pattern: PartPattern | null;
  readonly sides: SidesBy | null;
}

export interface RoundSchedule {
  readonly ops: readonly Op[];
  readonly endS: number;
  readonly lowerBoundS: number;
  readonly bound: 'proven' | 'formula';
  /** False where some strip cannot be pulled in time whatever is done. */
  readonly feasible: boolean;
  /** The earliest end that is known for any order. */
  readonly quickestS: number;
  readonly parts: readonly PatternedPart[];
}

/** Zones of one task up to this many strips are searched freely together, else part by part. */
const JOINT_JOBS = 14;

/**
 * Jobs of all zones in one list; needs and touches keep pointing within their zone, where its courses are kept. A zone
 * worked to its end on one side before the other has its second side after the first.
 */
export function joinJobs(zones: readonly ZoneJobs[]): readonly StripJob[] {
  const all: StripJob[] = [];
  zones.forEach((z, k) => {
    const offset = all.length;
    const pose = poseKey(z.zone, z.side);
    const before = zones[k - 1];
    const isSecond = before?.zone === z.zone && isOneSideFirst(z);
    const first = isSecond ? before.jobs.map((_, n) => offset - before.jobs.length + n) : [];
    all.push(
      ...inCourses(z.jobs, z.places).map((j) => ({
        ...j,
        pose,
        needs: j.needs.map((n) => n + offset),
        after: [...first, ...(j.after ?? []).map((n) => n + offset)],
        touches: j.touches.map((t) => t + offset),
      })),
    );
  });
  return all;
}

/** Where the jobs of each zone begin in the joint list. */
const offsetsOf = (zones: readonly ZoneJobs[]): readonly number[] =>
  zones.map((_, i) => zones.slice(0, i).reduce((n, z) => n + z.jobs.length, 0));

/** Both sides of a zone are one part, everything else one of its own. */
const partsOf = (zones: readonly ZoneJobs[]): readonly (readonly number[])[] =>
  [...new Set(zones.map((z) => z.zone))].map((id) => zones.flatMap((z, i) => (z.zone === id ? [i] : [])));

interface Laid extends PatternedPart {
  /** Jobs of the joint list in the order of laying. */
  readonly order: readonly number[];
}

const isOneSideFirst = ({ zone }: Pick<ZoneJobs, 'zone'>): boolean => ONE_SIDE_FIRST.includes(zone);

function patternOf(zones: readonly ZoneJobs[], part: readonly number[], limits: HandsLimits): Laid {
  const own = part.flatMap((i) => zones[i] ?? []);
  const jobs = joinJobs(own);
  const from = offsetsOf(own);
  const sheets = own.map((z, k) => ({ jobs: z.jobs.map((_, n) => (from[k] ?? 0) + n), places: z.places }));
  const found = patternSchedule({ ...limits, jobs }, sheets, {
    oneSideFirst: own.every(isOneSideFirst),
    halved: own.every(({ zone }) => TWO_HALVES.includes(zone)),
  });
  const offsets = offsetsOf(zones);
  const places = part.flatMap((i) => (zones[i]?.jobs ?? []).map((_, n) => (offsets[i] ?? 0) + n));
  const order = found ? found.order : freeOrder({ ...limits, jobs });
  return {
    zones: part,
    pattern: found?.name ?? null,
    sides: found?.sides ?? null,
    order: order.map((job) => places[job] ?? 0),
  };
}

/** The free search knows no poses: they are put in when its acts are worked through. */
const withoutPoses = (input: HandsInput): HandsInput => ({
  ...input,
  jobs: input.jobs.map((j) => ({ ...j, pose: null })),
});

const freeOrder = (input: HandsInput): readonly number[] =>
  scheduleHands(withoutPoses(input)).ops.flatMap((op) => (op.kind === 'lay' ? [op.job] : []));

interface Worked {
  readonly ops: readonly Op[];
  readonly endS: number;
  readonly feasible: boolean;
}

const sooner = (a: Worked | null, b: Worked | null): Worked | null => {
  if (!a || !b) return a ?? b;
  if (a.feasible !== b.feasible) return a.feasible ? a : b;
  return b.endS < a.endS ? b : a;
};

/** The acts of the free search, worked through with the poses; null where a pull then comes too late. */
function worked(input: HandsInput, ops: readonly Op[]): Worked | null {
  const end = tableAfter(
    input,
    ops.map((o) => o.job),
  );
  return end && { ops: opsOf(end), endS: end.nowS, feasible: end.lateS === 0 };
}

/** One part to its end, then the next: where no schedule of the whole was found. */
function oneByOne(input: HandsInput, parts: readonly Laid[]): Worked {
  const acts = parts.flatMap(({ order }) => {
    const task = withoutPoses({ ...input, jobs: order.flatMap((i) => input.jobs[i] ?? []) });
    const at = new Map(order.map((job, k) => [job, k]));
    const own = (list: readonly number[]): readonly number[] => list.flatMap((i) => at.get(i) ?? []);
    const jobs = task.jobs.map((j) => ({
      ...j,
      needs: own(j.needs),
      after: own(j.after ?? []),
      touches: own(j.touches),
    }));
    return scheduleHands({ ...task, jobs }).ops.map((op) => order[op.job] ?? 0);
  });
  const end = tableAfter(input, acts, true);
  return end ? { ops: opsOf(end), endS: end.nowS, feasible: end.lateS === 0 } : { ops: [], endS: 0, feasible: false };
}

/** Zones of up to so many strips may be worked by turns, where that saves as much, s and as a share of the round. */
const SMALL_STRIPS = 8;
const TURNS_SAVE = { s: 10, share: 0.05 };

const inOrder = (input: HandsInput, parts: readonly Laid[]): TableState | null =>
  scheduleInOrder(
    input,
    parts.flatMap((p) => p.order),
  );

/** Small zones that follow each other are worked strip by strip in turn where that saves time worth it. */
function byTurns(
  input: HandsInput,
  laid: readonly Laid[],
  mayTurn: (part: Laid) => boolean,
): { readonly parts: readonly Laid[]; readonly end: TableState | null } {
  let parts = laid;
  let end = inOrder(input, parts);
  for (let k = 0; k + 1 < parts.length; k++) {
    const [a, b] = [parts[k], parts[k + 1]];
    if (!a || !b || !mayTurn(a) || !mayTurn(b) || Math.max(a.order.length, b.order.length) > SMALL_STRIPS) continue;
    const longer = Math.max(a.order.length, b.order.length);
    const order = Array.from({ length: longer }, (_, i) => [a.order[i], b.order[i]]).flat();
    const merged: Laid = {
      zones: [...a.zones, ...b.zones],
      pattern: 'zones-in-turn',
      sides: null,
      order: order.flatMap((job) => job ?? []),
    };
    const tried = [...parts.slice(0, k), merged, ...parts.slice(k + 2)];
    const made = inOrder(input, tried);
    if (!made || (end && end.nowS - made.nowS < Math.max(TURNS_SAVE.s, TURNS_SAVE.share * end.nowS))) continue;
    [parts, end] = [tried, made];
  }
  return { parts, end };
}

/**
 * The schedule of one round, whole seconds from its first act.
 * @param zones in the order of work, the sides of a zone following each other; none without strips
 */
export function roundSchedule(zones: readonly ZoneJobs[], limits: HandsLimits): RoundSchedule {
  const { maxOnSkin, walkS, poseS } = limits;
  const input: HandsInput = { jobs: joinJobs(zones), maxOnSkin, walkS, poseS };
  const { parts, end } = byTurns(
    input,
    partsOf(zones).map((part) => patternOf(zones, part, limits)),
    (part) => !part.zones.some((i) => zones[i] && isOneSideFirst(zones[i])),
  );
  const inPattern: Worked = end
    ? { ops: opsOf(end), endS: end.nowS, feasible: end.lateS === 0 }
    : oneByOne(input, parts);
  const quickly = scheduleHands(withoutPoses(input), 'quick');
  const known = sooner(inPattern, worked(input, quickly.ops));
  const { lowerBoundS } = quickly;
  // what is proved without poses is only a bound with them
  const bound = input.jobs.some((j) => j.pose) && poseS > 0 ? 'formula' : quickly.bound;
  const told = { lowerBoundS, bound, quickestS: known?.endS ?? inPattern.endS };
  if (limits.order === 'followable') {
    const isIn = end !== null;
    return {
      ...inPattern,
      ...told,
      parts: parts.map(({ zones: of, pattern, sides }) => ({
        zones: of,
        pattern: isIn ? pattern : null,
        sides: isIn ? sides : null,
      })),
    };
  }
  const free = freely(input, zones, parts);
  const best = sooner(known, free.made) ?? inPattern;
  return {
    ...best,
    lowerBoundS: Math.min(best.endS, Math.max(lowerBoundS, free.lowerBoundS)),
    bound: bound === 'proven' || !input.jobs.some((j) => j.pose) || poseS === 0 ? free.bound : 'formula',
    quickestS: best.endS,
    parts: parts.map((p) => ({ zones: p.zones, pattern: null, sides: null })),
  };
}

/** The free search over the whole round where it is small, else the orders that it finds part by part. */
function freely(
  input: HandsInput,
  zones: readonly ZoneJobs[],
  parts: readonly Laid[],
): { readonly made: Worked | null; readonly lowerBoundS: number; readonly bound: 'proven' | 'formula' } {
  if (input.jobs.length <= JOINT_JOBS || parts.length === 1) {
    const found = scheduleHands(withoutPoses(input));
    // a bound without poses holds with them too
    return { made: worked(input, found.ops), lowerBoundS: found.lowerBoundS, bound: found.bound };
  }
  const offsets = offsetsOf(zones);
  const order = parts.flatMap((p) => {
    const own = p.zones.flatMap((i) => zones[i] ?? []);
    const places = p.zones.flatMap((i) => (zones[i]?.jobs ?? []).map((_, n) => (offsets[i] ?? 0) + n));
    return freeOrder({ ...input, jobs: joinJobs(own) }).map((job) => places[job] ?? 0);
  });
  const end = scheduleInOrder(input, order);
  return {
    made: end && { ops: opsOf(end), endS: end.nowS, feasible: true },
    lowerBoundS: 0,
    bound: 'formula',
  };
}

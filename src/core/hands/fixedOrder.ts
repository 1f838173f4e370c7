// The best schedule for one order of laying where what was laid first is pulled first: lay the next, or put the second
// coat on, or pull the oldest. A dynamic programme over how many are laid, coated and off; of states alike in that the
// ones that are nowhere better are dropped.

import { costOf } from './policies';
import { emptyTable, FIRST_COAT, isOnSkin, poseTo, step, walkTo, type TableState } from './state';
import { COAT_REST_S, mostRestS, setAfter, type HandsInput, type StripJob } from './types';

/** States kept of those alike in what is laid, coated and off. */
const MOST_LABELS = 4;

/** Strips on the skin are those of the order from `pulled` to `laid`, oldest first. */
interface Label {
  readonly nowS: number;
  readonly side: StripJob['side'];
  readonly pose: string | null;
  readonly laid: number;
  /** Strips whose last coat is on. */
  readonly coated: number;
  readonly pulled: number;
  /** Earliest and latest start of the next act of each strip on the skin, oldest first. */
  readonly readyS: readonly number[];
  readonly dueS: readonly number[];
  /** Seconds by which acts came too late. */
  readonly lateS: number;
  /** What the hands still have to do, s. */
  readonly workS: number;
  readonly before: Label | null;
  /** Job of the last act. */
  readonly job: number;
}

type Deed = 'lay' | 'coat' | 'pull';

function dominates(a: Label, b: Label): boolean {
  if (a.nowS > b.nowS || a.lateS > b.lateS) return false;
  for (let k = 0; k < a.readyS.length; k++) {
    if ((a.readyS[k] ?? 0) > (b.readyS[k] ?? 0) || (a.dueS[k] ?? 0) < (b.dueS[k] ?? 0)) return false;
  }
  return true;
}

const SIDES = { left: 1, right: 2 } as const;
const SPAN = 512;

/** Alike in what is laid, coated and off, in the side and in the pose. */
const keyOf = (l: Label, poses: readonly (string | null)[]): number =>
  (((l.laid * SPAN + l.coated) * SPAN + l.pulled) * 3 + (l.side === null ? 0 : SIDES[l.side])) * SPAN +
  poses.indexOf(l.pose);

function put(labels: Map<number, Label[]>, made: Label, poses: readonly (string | null)[]): void {
  const key = keyOf(made, poses);
  const list = labels.get(key);
  if (!list) {
    labels.set(key, [made]);
    return;
  }
  if (list.some((l) => dominates(l, made))) return;
  const kept = list.filter((l) => !dominates(made, l));
  kept.push(made);
  if (kept.length > MOST_LABELS) kept.sort((x, y) => costOf(x) - costOf(y)).pop();
  labels.set(key, kept);
}

/** Tasks as the programme wants them: jobs in the order of laying. */
interface Ordered {
  readonly jobs: readonly StripJob[];
  readonly order: readonly number[];
  /** Place in the order of each job. */
  readonly placeOf: readonly number[];
  readonly limit: number;
  /** Longest rest between two coats, by place, s. */
  readonly mostRestS: readonly number[];
  readonly hands: HandsInput;
  readonly mayBeLate: boolean;
}

function orderedTask(input: HandsInput, order: readonly number[], mayBeLate: boolean): Ordered {
  const placeOf: number[] = [];
  order.forEach((job, place) => {
    placeOf[job] = place;
  });
  const jobs = order.flatMap((i) => input.jobs[i] ?? []);
  return { jobs, order, placeOf, limit: input.maxOnSkin, mostRestS: jobs.map(mostRestS), hands: input, mayBeLate };
}

function mayLay({ jobs, placeOf, limit }: Ordered, l: Label): boolean {
  const job = jobs[l.laid];
  if (!job || l.laid - l.pulled >= limit) return false;
  // what has no place in the order was off before it began
  const isOff = (j: number): boolean => (placeOf[j] ?? -1) < l.pulled;
  const isOn = (j: number): boolean => (placeOf[j] ?? -1) < l.laid && !isOff(j);
  return job.needs.every(isOff) && !job.touches.some(isOn);
}

/** Place in the order of the strip that a deed is done on. */
function placeOfDeed(l: Label, deed: Deed): number {
  if (deed === 'lay') return l.laid;
  return deed === 'coat' ? l.coated : l.pulled;
}

/** A copy with one value set or added. */
function withAt(values: readonly number[], at: number, value: number): readonly number[] {
  const out = values.slice();
  out[at] = value;
  return out;
}

/** The state after an act; null where it would come too late, or costs `beatS` or more. */
function after(task: Ordered, l: Label, deed: Deed, beatS: number): Label | null {
  const place = placeOfDeed(l, deed);
  const job = task.jobs[place];
  const index = task.order[place];
  if (!job || index === undefined) return null;
  const at = place - l.pulled;
  const free = l.nowS + walkTo(l, job, task.hands.walkS) + poseTo(l.pose, job, task.hands);
  const startS = deed === 'lay' ? free : Math.max(free, l.readyS[at] ?? 0);
  const late = deed === 'lay' ? 0 : Math.max(0, startS - (l.dueS[at] ?? 0));
  if (late > 0 && !task.mayBeLate) return null;
  const takesS = deed === 'pull' ? job.pullS + job.pressS : job.layS;
  const nowS = startS + takesS;
  const lateS = l.lateS + late;
  const workS = l.workS - takesS;
  if (costOf({ nowS, lateS }) + workS >= beatS) return null;
  const side = job.side ?? l.side;
  const pose = job.pose ?? l.pose;
  const { laid, coated, pulled, readyS, dueS } = l;
  // written out, value by value: these are made some hundred thousand times a plan
  if (deed === 'pull') {
    return {
      nowS,
      side,
      pose,
      laid,
      coated,
      pulled: pulled + 1,
      readyS: readyS.slice(1),
      dueS: dueS.slice(1),
      lateS,
      workS,
      before: l,
      job: index,
    };
  }
  const rests = deed === 'lay' && job.coats === 2;
  const set = rests ? null : setAfter(job, startS - (readyS[at] ?? startS) + COAT_REST_S);
  return {
    nowS,
    side,
    pose,
    laid: deed === 'lay' ? laid + 1 : laid,
    coated: rests ? coated : coated + 1,
    pulled,
    readyS: withAt(readyS, at, nowS + (set ? set.min : COAT_REST_S)),
    dueS: withAt(dueS, at, nowS + (set ? set.max : (task.mostRestS[place] ?? 0))),
    lateS,
    workS,
    before: l,
    job: index,
  };
}

/** Acts that are open: the oldest resting coat, the oldest that sets, the next lay. */
function deedsOf(task: Ordered, l: Label): readonly Deed[] {
  const rests = l.coated < l.laid;
  const deeds: Deed[] = [];
  if (rests) deeds.push('coat');
  if (l.pulled < l.coated) deeds.push('pull');
  // coats go in the order of laying too: a strip of one coat waits for the coats before it
  if ((!rests || task.jobs[l.laid]?.coats === 2) && mayLay(task, l)) deeds.push('lay');
  return deeds;
}

export interface InOrder {
  /** Ends that cost as much or more are of no use. */
  readonly beatS?: number | undefined;
  /** The table as it is; a fresh one otherwise. */
  readonly from?: TableState | undefined;
  /** In live use a late strip is pulled late; it costs ten for every second. */
  readonly mayBeLate?: boolean | undefined;
}

/** The first label: what is on the skin already stands at the head of the order, set strips before resting ones. */
function begun(input: HandsInput, from: TableState, order: readonly number[]): Label {
  const on = order.filter((i) => isOnSkin(from.stage[i]));
  const rests = on.filter((i) => from.stage[i] === FIRST_COAT).length;
  const workS = order.reduce((s, i) => {
    const job = input.jobs[i];
    if (!job) return s;
    const { layS, coats, pullS, pressS } = job;
    const stage = from.stage[i];
    const setting = isOnSkin(stage) ? 0 : coats;
    return s + layS * (stage === FIRST_COAT ? 1 : setting) + pullS + pressS;
  }, 0);
  return {
    nowS: from.nowS,
    side: from.side,
    pose: from.pose,
    laid: on.length,
    coated: on.length - rests,
    pulled: 0,
    readyS: on.map((i) => from.readyS[i] ?? 0),
    dueS: on.map((i) => from.dueS[i] ?? 0),
    lateS: from.lateS,
    workS,
    before: null,
    job: -1,
  };
}

/**
 * The table at the end of the best schedule of that order; null where none ends in time. `order` holds every strip that
 * is not off: of a table that has begun those on the skin first, set strips before resting ones, oldest first.
 */
export function scheduleInOrder(
  input: HandsInput,
  order: readonly number[],
  { beatS = Number.POSITIVE_INFINITY, from = emptyTable(input.jobs.length), mayBeLate = false }: InOrder = {},
): TableState | null {
  const task = orderedTask(input, order, mayBeLate);
  const { jobs } = task;
  const start = begun(input, from, order);
  const acts = jobs.reduce((s, j) => s + j.coats + 1, 0) - actsBehind(input, from, order);
  const poses = [...new Set([from.pose, null, ...jobs.map((j) => j.pose ?? null)])];
  let level = new Map<number, Label[]>([[0, [start]]]);
  for (let k = 0; k < acts; k++) {
    const next = new Map<number, Label[]>();
    for (const labels of level.values()) {
      for (const l of labels) {
        for (const deed of deedsOf(task, l)) {
          const made = after(task, l, deed, beatS);
          if (made) put(next, made, poses);
        }
      }
    }
    level = next;
  }
  const ends = [...level.values()].flat().filter((l) => l.pulled === order.length);
  const best = ends.sort((a, b) => costOf(a) - costOf(b))[0];
  return best ? replayed(input, best, from) : null;
}

/** Lays that what is on the skin has behind it. */
const actsBehind = (input: HandsInput, from: TableState, order: readonly number[]): number =>
  order.reduce((s, i) => {
    const stage = from.stage[i];
    const coats = input.jobs[i]?.coats ?? 0;
    return s + (isOnSkin(stage) ? coats - (stage === FIRST_COAT ? 1 : 0) : 0);
  }, 0);

function replayed(input: HandsInput, end: Label, from: TableState): TableState {
  const acts: number[] = [];
  for (let l: Label | null = end; l && l.job >= 0; l = l.before) acts.push(l.job);
  return acts.reverse().reduce((state, job) => step(state, input, job), from);
}

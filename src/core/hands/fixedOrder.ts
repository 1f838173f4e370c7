// The best schedule for one order of laying where what was laid first is pulled first: lay the next, or put the second
// coat on, or pull the oldest. A dynamic programme over how many are laid, coated and off; of states alike in that the
// ones that are nowhere better are dropped.

import { emptyTable, step, type TableState } from './state';
import { COAT_REST_S, mostRestS, setAfter, type HandsInput, type StripJob } from './types';

/** States kept of those alike in what is laid, coated and off. */
const MOST_LABELS = 4;

/** Strips on the skin are those of the order from `pulled` to `laid`, oldest first. */
interface Label {
  readonly nowS: number;
  readonly side: StripJob['side'];
  readonly laid: number;
  /** Strips whose last coat is on. */
  readonly coated: number;
  readonly pulled: number;
  /** Earliest and latest start of the next act of each strip on the skin, oldest first. */
  readonly readyS: readonly number[];
  readonly dueS: readonly number[];
  /** What the hands still have to do, s. */
  readonly workS: number;
  readonly before: Label | null;
  /** Job of the last act. */
  readonly job: number;
}

type Deed = 'lay' | 'coat' | 'pull';

function dominates(a: Label, b: Label): boolean {
  if (a.nowS > b.nowS) return false;
  return a.readyS.every((r, k) => r <= (b.readyS[k] ?? 0) && (a.dueS[k] ?? 0) >= (b.dueS[k] ?? 0));
}

const SIDES = { left: 1, right: 2 } as const;
const SPAN = 512;

/** Alike in what is laid, coated and off, and in the side. */
const keyOf = (l: Label): number =>
  ((l.laid * SPAN + l.coated) * SPAN + l.pulled) * 3 + (l.side === null ? 0 : SIDES[l.side]);

function put(labels: Map<number, Label[]>, made: Label): void {
  const key = keyOf(made);
  const list = labels.get(key);
  if (!list) {
    labels.set(key, [made]);
    return;
  }
  if (list.some((l) => dominates(l, made))) return;
  const kept = list.filter((l) => !dominates(made, l));
  kept.push(made);
  if (kept.length > MOST_LABELS) kept.sort((x, y) => x.nowS - y.nowS).pop();
  labels.set(key, kept);
}

/** Tasks as the programme wants them: jobs in the order of laying. */
interface Ordered {
  readonly jobs: readonly StripJob[];
  readonly order: readonly number[];
  /** Place in the order of each job. */
  readonly placeOf: readonly number[];
  readonly limit: number;
  readonly walkS: number;
}

function mayLay({ jobs, placeOf, limit }: Ordered, l: Label): boolean {
  const job = jobs[l.laid];
  if (!job || l.laid - l.pulled >= limit) return false;
  const isOff = (j: number): boolean => (placeOf[j] ?? Infinity) < l.pulled;
  const isOn = (j: number): boolean => (placeOf[j] ?? Infinity) < l.laid && !isOff(j);
  return job.needs.every(isOff) && !job.touches.some(isOn);
}

/** The state after an act; null where it would come too late. */
function after(task: Ordered, l: Label, deed: Deed): Label | null {
  const place = { lay: l.laid, coat: l.coated, pull: l.pulled }[deed];
  const job = task.jobs[place];
  const index = task.order[place];
  if (!job || index === undefined) return null;
  const walkS = job.side !== null && l.side !== null && job.side !== l.side ? task.walkS : 0;
  const at = place - l.pulled;
  const free = l.nowS + walkS;
  const startS = deed === 'lay' ? free : Math.max(free, l.readyS[at] ?? 0);
  if (deed !== 'lay' && startS > (l.dueS[at] ?? 0)) return null;
  const side = job.side ?? l.side;
  const common = { side, before: l, job: index };
  if (deed === 'pull') {
    const nowS = startS + job.pullS + job.pressS;
    const { laid, coated, pulled, readyS, dueS, workS } = l;
    const leftS = workS - job.pullS - job.pressS;
    return {
      ...common,
      nowS,
      laid,
      coated,
      pulled: pulled + 1,
      readyS: readyS.slice(1),
      dueS: dueS.slice(1),
      workS: leftS,
    };
  }
  const nowS = startS + job.layS;
  const rests = deed === 'lay' && job.coats === 2;
  const set = setAfter(job, startS - (l.readyS[at] ?? startS) + COAT_REST_S);
  const [ready, due] = rests ? [nowS + COAT_REST_S, nowS + mostRestS(job)] : [nowS + set.min, nowS + set.max];
  const readyS = [...l.readyS];
  const dueS = [...l.dueS];
  [readyS[at], dueS[at]] = [ready, due];
  return {
    ...common,
    nowS,
    laid: l.laid + (deed === 'lay' ? 1 : 0),
    coated: l.coated + (rests ? 0 : 1),
    pulled: l.pulled,
    readyS,
    dueS,
    workS: l.workS - job.layS,
  };
}

/** Acts that are open: the oldest resting coat, the oldest that sets, the next lay. */
function deedsOf(task: Ordered, l: Label): readonly Deed[] {
  const rests = l.coated < l.laid;
  return [
    ...(rests ? (['coat'] as const) : []),
    ...(l.pulled < l.coated ? (['pull'] as const) : []),
    // coats go in the order of laying too: a strip of one coat waits for the coats before it
    ...((!rests || task.jobs[l.laid]?.coats === 2) && mayLay(task, l) ? (['lay'] as const) : []),
  ];
}

/** The table at the end of the best schedule of that order; null where none ends before `beatS` with all in time. */
export function scheduleInOrder(
  input: HandsInput,
  order: readonly number[],
  beatS = Number.POSITIVE_INFINITY,
): TableState | null {
  const n = order.length;
  const placeOf: number[] = [];
  order.forEach((job, place) => {
    placeOf[job] = place;
  });
  const jobs = order.flatMap((i) => input.jobs[i] ?? []);
  const task: Ordered = { jobs, order, placeOf, limit: input.maxOnSkin, walkS: input.walkS };
  const acts = jobs.reduce((s, j) => s + j.coats + 1, 0);
  const workS = jobs.reduce((s, j) => s + j.coats * j.layS + j.pullS + j.pressS, 0);
  const start = {
    nowS: 0,
    side: null,
    laid: 0,
    coated: 0,
    pulled: 0,
    readyS: [],
    dueS: [],
    workS,
    before: null,
    job: -1,
  };
  let level = new Map<number, Label[]>([[0, [start]]]);
  for (let k = 0; k < acts; k++) {
    const next = new Map<number, Label[]>();
    for (const labels of level.values()) {
      for (const l of labels) {
        for (const deed of deedsOf(task, l)) {
          const made = after(task, l, deed);
          if (made && made.nowS + made.workS < beatS) put(next, made);
        }
      }
    }
    level = next;
  }
  const ends = [...level.values()].flat().filter((l) => l.pulled === n);
  const best = ends.sort((a, b) => a.nowS - b.nowS)[0];
  return best ? replayed(input, best) : null;
}

function replayed(input: HandsInput, end: Label): TableState {
  const acts: number[] = [];
  for (let l: Label | null = end; l && l.job >= 0; l = l.before) acts.push(l.job);
  return acts.reverse().reduce((state, job) => step(state, input, job), emptyTable(input.jobs.length));
}

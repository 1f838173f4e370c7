// State of the table while strips are laid and pulled, and the one step function that every search and the live re-plan
// share.

import { COAT_REST_S, mostRestS, setAfter, type HandsInput, type Op, type StripJob } from './types';

export const UNLAID = 0;
export const FIRST_COAT = 1;
export const SETTING = 2;
export const OFF = 3;

export interface TableState {
  readonly nowS: number;
  readonly side: 'left' | 'right' | null;
  /** Pose the client holds; null = none yet. */
  readonly pose: string | null;
  /** Stage of each job. */
  readonly stage: readonly number[];
  /** Earliest start of the job's next act (coat or pull). */
  readonly readyS: readonly number[];
  /** Latest start of the job's next act on the skin: of the second coat while the first rests, else of the pull. */
  readonly dueS: readonly number[];
  /** Seconds by which pulls and second coats came too late; 0 in a feasible plan. */
  readonly lateS: number;
  readonly last: Op | null;
  readonly before: TableState | null;
}

const zeros = (n: number): number[] => Array.from({ length: n }, () => 0);

export function emptyTable(jobCount: number): TableState {
  return {
    nowS: 0,
    side: null,
    pose: null,
    stage: zeros(jobCount),
    readyS: zeros(jobCount),
    dueS: zeros(jobCount),
    lateS: 0,
    last: null,
    before: null,
  };
}

export const isOnSkin = (stage: number | undefined): boolean => stage === FIRST_COAT || stage === SETTING;

export function onSkinCount(state: TableState): number {
  let count = 0;
  for (const stage of state.stage) if (stage === FIRST_COAT || stage === SETTING) count++;
  return count;
}

export const walkTo = (state: Pick<TableState, 'side'>, job: StripJob, walkS: number): number =>
  job.side !== null && state.side !== null && job.side !== state.side ? walkS : 0;

/** Taking the job's pose, s; a strip that needs none is reached in any. */
export const poseTo = (
  now: string | null,
  job: Pick<StripJob, 'pose'>,
  { poseS = 0 }: Pick<HandsInput, 'poseS'>,
): number => ((job.pose ?? null) !== null && job.pose !== now ? poseS : 0);

/**
 * True where this job may be laid now: room on the skin, needed strips off, those of earlier courses laid, no touching
 * strip on the skin.
 */
export function canLay(state: TableState, input: HandsInput, index: number, limit = input.maxOnSkin): boolean {
  const job = input.jobs[index];
  return (
    job !== undefined &&
    state.stage[index] === UNLAID &&
    onSkinCount(state) < limit &&
    job.needs.every((n) => state.stage[n] === OFF) &&
    (job.after ?? []).every((n) => state.stage[n] !== UNLAID) &&
    job.touches.every((t) => !isOnSkin(state.stage[t]))
  );
}

/** Start of the job's next act if it is done next. */
export function nextStart(state: TableState, input: HandsInput, index: number): number {
  const job = input.jobs[index] as StripJob; // callers pass indices of input.jobs
  const free = state.nowS + walkTo(state, job, input.walkS) + poseTo(state.pose, job, input);
  return state.stage[index] === UNLAID ? free : Math.max(free, state.readyS[index] ?? 0);
}

/** The state after the next act of one job, as early as it can start. */
export function step(state: TableState, input: HandsInput, index: number): TableState {
  const job = input.jobs[index] as StripJob; // callers pass indices of input.jobs
  const walkS = walkTo(state, job, input.walkS);
  const poseS = poseTo(state.pose, job, input);
  const startS = nextStart(state, input, index);
  const stage = state.stage.slice();
  const readyS = state.readyS.slice();
  const dueS = state.dueS.slice();
  const pulling = state.stage[index] === SETTING;
  const endS = startS + (pulling ? job.pullS + job.pressS : job.layS);
  const isDue = isOnSkin(state.stage[index]);
  const lateS = state.lateS + (isDue ? Math.max(0, startS - (state.dueS[index] ?? startS)) : 0);
  if (pulling) {
    stage[index] = OFF;
  } else if (state.stage[index] === UNLAID && job.coats === 2) {
    stage[index] = FIRST_COAT;
    readyS[index] = endS + COAT_REST_S;
    dueS[index] = endS + mostRestS(job);
  } else {
    stage[index] = SETTING;
    const restS = startS - (state.readyS[index] ?? startS) + COAT_REST_S;
    const set = setAfter(job, restS);
    readyS[index] = endS + set.min;
    dueS[index] = endS + set.max;
  }
  const laying = state.stage[index] === UNLAID ? 'lay' : 'coat';
  const kind = pulling ? 'pull' : laying;
  return {
    nowS: endS,
    side: job.side ?? state.side,
    pose: job.pose ?? state.pose,
    stage,
    readyS,
    dueS,
    lateS,
    last: { kind, job: index, startS, endS, walkS, poseS },
    before: state,
  };
}

/** All acts that led to a state, first to last. */
export function opsOf(state: TableState): readonly Op[] {
  const ops: Op[] = [];
  for (let s: TableState | null = state; s?.last; s = s.before) ops.push(s.last);
  return ops.reverse();
}

/**
 * True where what lies on the skin makes it in the order of its latest acts, with walking: pulls, and second coats over
 * first ones that rest.
 */
export function makesDeadlines(state: TableState, input: HandsInput): boolean {
  const onSkin: number[] = [];
  state.stage.forEach((stage, i) => {
    if (isOnSkin(stage)) onSkin.push(i);
  });
  onSkin.sort((a, b) => (state.dueS[a] ?? 0) - (state.dueS[b] ?? 0));
  let time = state.nowS;
  let { side, pose } = state;
  for (const i of onSkin) {
    const job = input.jobs[i] as StripJob; // onSkin holds job indices
    const walkS = job.side !== null && side !== null && job.side !== side ? input.walkS : 0;
    const startS = Math.max(time + walkS + poseTo(pose, job, input), state.readyS[i] ?? 0);
    if (startS > (state.dueS[i] ?? 0)) return false;
    time = startS + (state.stage[i] === FIRST_COAT ? job.layS : job.pullS + job.pressS);
    side = job.side ?? side;
    pose = job.pose ?? pose;
  }
  return true;
}

/**
 * The table after acts in this order, a job's first entry its lay and its last its pull. Null where an act is not
 * possible, or, unless it may be, comes too late.
 */
export function tableAfter(input: HandsInput, acts: readonly number[], mayBeLate = false): TableState | null {
  let state = emptyTable(input.jobs.length);
  for (const job of acts) {
    if (state.stage[job] === UNLAID && !canLay(state, input, job)) return null;
    state = step(state, input, job);
    if (state.lateS > 0 && !mayBeLate) return null;
  }
  return state;
}

// A practical as it goes: what happened, one thing after the other, and what stands because of it. Pure; time is told.

import type { Board, ExamMark } from './board';

export type ExamEvent = { readonly atMs: number } & (
  | { readonly kind: 'start' }
  /** The candidate has done a step and goes on. */
  | { readonly kind: 'done'; readonly step: string }
  /** The candidate takes the last step back. */
  | { readonly kind: 'back' }
  /** The candidate wants to know what is looked for. */
  | { readonly kind: 'ask'; readonly step: string }
  | { readonly kind: 'mark'; readonly step: string; readonly mark: ExamMark }
  | { readonly kind: 'penalty'; readonly penalty: string }
  | { readonly kind: 'note'; readonly step: string; readonly text: string }
  /** Takes back the examiner's last mark, penalty or note. */
  | { readonly kind: 'undo' }
  /** Stopped for safety. */
  | { readonly kind: 'halt'; readonly text: string }
  /** The sheet is closed: marks stand, the candidate sees them. */
  | { readonly kind: 'close' }
);
export type ExamEventKind = ExamEvent['kind'];

export interface ExamState {
  readonly phase: 'waiting' | 'running' | 'over' | 'closed';
  readonly over: 'done' | 'time' | 'halt' | null;
  readonly elapsedMs: number;
  readonly leftMs: number;
  /** The call has come. */
  readonly called: boolean;
  /** The step in hand; the number of steps once all are done. */
  readonly step: number;
  readonly marks: Readonly<Record<string, ExamMark>>;
  readonly penalties: readonly string[];
  readonly notes: readonly { readonly step: string; readonly text: string }[];
  /** Steps that were asked about. */
  readonly asked: readonly string[];
  readonly haltedFor: string | null;
  readonly score: ExamScore;
}

export interface ExamScore {
  /** For the steps marked so far, and what those could have given. */
  readonly steps: number;
  readonly of: number;
  readonly off: number;
  /** Never under nought. */
  readonly sum: number;
  readonly most: number;
  readonly unmarked: number;
  /** Null until every step is marked. */
  readonly passed: boolean | null;
}

const isExaminers = (e: ExamEvent): boolean => e.kind === 'mark' || e.kind === 'penalty' || e.kind === 'note';

/** Without what was taken back, and what took it back. */
function standing(events: readonly ExamEvent[]): readonly ExamEvent[] {
  const kept: ExamEvent[] = [];
  for (const event of events) {
    if (event.kind === 'undo') {
      const last = kept.findLastIndex(isExaminers);
      if (last >= 0) kept.splice(last, 1);
    } else kept.push(event);
  }
  return kept;
}

export function scoreOf(
  board: Board,
  marks: ExamState['marks'],
  penalties: readonly string[],
  halted: boolean,
): ExamScore {
  const gives = { right: 1, half: board.half, not: 0 } as const;
  const marked = board.steps.filter((s) => marks[s.id] !== undefined);
  const steps = marked.reduce((sum, s) => sum + s.worth * gives[marks[s.id] ?? 'not'], 0);
  const off = penalties.reduce((sum, id) => sum + (board.penalties.find((p) => p.id === id)?.off ?? 0), 0);
  const most = board.steps.reduce((sum, s) => sum + s.worth, 0);
  const sum = Math.max(0, steps - off);
  const unmarked = board.steps.length - marked.length;
  return {
    ...{ steps, off, sum, most, unmarked },
    of: marked.reduce((s, x) => s + x.worth, 0),
    // what was halted for safety is not passed, whatever the marks
    passed: unmarked > 0 ? null : !halted && sum >= board.pass * most - 1e-9,
  };
}

/** @param events as they came; those after the end of the time count for the marks only */
export function examState(board: Board, events: readonly ExamEvent[], nowMs: number): ExamState {
  const kept = standing(events);
  const startMs = kept.find((e) => e.kind === 'start')?.atMs ?? null;
  const halt = kept.find((e) => e.kind === 'halt');
  const limitMs = 60_000 * board.minutes;
  let step = 0;
  let doneMs: number | null = null;
  for (const e of kept) {
    if (startMs === null || e.atMs - startMs > limitMs) continue;
    if (e.kind === 'done' && board.steps[step]?.id === e.step) step++;
    if (e.kind === 'back') step = Math.max(0, step - 1);
    doneMs = step >= board.steps.length ? (doneMs ?? e.atMs) : null;
  }
  const endMs = Math.min(halt?.atMs ?? Infinity, doneMs ?? Infinity, (startMs ?? Infinity) + limitMs);
  const isOver = startMs !== null && nowMs >= endMs;
  const elapsedMs = startMs === null ? 0 : Math.max(0, Math.min(nowMs, endMs) - startMs);
  const marks = Object.fromEntries(kept.flatMap((e) => (e.kind === 'mark' ? [[e.step, e.mark] as const] : [])));
  const penalties = kept.flatMap((e) => (e.kind === 'penalty' ? [e.penalty] : []));
  return {
    phase: phaseOf(
      kept.some((e) => e.kind === 'close'),
      startMs !== null,
      isOver,
    ),
    over: isOver ? whyOver(endMs, halt?.atMs, doneMs) : null,
    ...{ elapsedMs, leftMs: Math.max(0, limitMs - elapsedMs), step, marks, penalties },
    called: board.callMin !== null && startMs !== null && elapsedMs >= 60_000 * board.callMin,
    notes: kept.flatMap((e) => (e.kind === 'note' ? [{ step: e.step, text: e.text }] : [])),
    asked: [...new Set(kept.flatMap((e) => (e.kind === 'ask' ? [e.step] : [])))],
    haltedFor: halt?.kind === 'halt' ? halt.text : null,
    score: scoreOf(board, marks, penalties, halt !== undefined),
  };
}

function phaseOf(isClosed: boolean, hasBegun: boolean, isOver: boolean): ExamState['phase'] {
  if (isClosed) return 'closed';
  if (!hasBegun) return 'waiting';
  return isOver ? 'over' : 'running';
}

function whyOver(endMs: number, haltMs: number | undefined, doneMs: number | null): ExamState['over'] {
  if (haltMs === endMs) return 'halt';
  return doneMs === endMs ? 'done' : 'time';
}

/** Why an event is not taken, as a sentence; null where it is. */
export function examFault(board: Board, events: readonly ExamEvent[], event: ExamEvent): string | null {
  const { phase, step, score } = examState(board, events, event.atMs);
  if (phase === 'closed') return 'The sheet is closed: its marks stand.';
  const knows = (id: string): boolean => board.steps.some((s) => s.id === id);
  switch (event.kind) {
    case 'start':
      return phase === 'waiting' ? null : 'It has begun already.';
    case 'done':
      if (phase !== 'running') return phase === 'waiting' ? 'It has not begun.' : 'Time is over.';
      return board.steps[step]?.id === event.step ? null : 'Another step is in hand.';
    case 'back':
      if (phase !== 'running') return 'Nothing is under way.';
      return step > 0 ? null : 'Nothing is done yet.';
    case 'ask':
      if (phase !== 'running') return 'Nothing is under way.';
      return knows(event.step) ? null : 'There is no such step.';
    case 'halt':
      return phase === 'running' ? null : 'Nothing is under way.';
    case 'mark':
    case 'note':
      if (phase === 'waiting') return 'It has not begun.';
      return knows(event.step) ? null : 'There is no such step.';
    case 'penalty':
      if (phase === 'waiting') return 'It has not begun.';
      return board.penalties.some((p) => p.id === event.penalty) ? null : 'There is no such penalty.';
    case 'undo':
      return standing(events).some(isExaminers) ? null : 'Nothing is marked yet.';
    case 'close':
      if (phase !== 'over') return 'It is not over yet.';
      return score.unmarked === 0 ? null : `${score.unmarked} of ${board.steps.length} steps have no mark yet.`;
  }
}

/** What the candidate may see: until the sheet is closed nothing of what the examiner wrote. */
export const forCandidate = (events: readonly ExamEvent[]): readonly ExamEvent[] =>
  events.some((e) => e.kind === 'close') ? events : events.filter((e) => !isExaminers(e) && e.kind !== 'undo');

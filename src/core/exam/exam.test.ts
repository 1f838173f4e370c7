import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boardFaults, MARKS, SHIPPED_BOARD, type Board } from './board';
import { examFault, examState, forCandidate, type ExamEvent } from './exam';

const START = 1_000_000;
const MIN = 60_000;
const at = (minutes: number): number => START + minutes * MIN;
const start: ExamEvent = { kind: 'start', atMs: START };
const { steps } = SHIPPED_BOARD;
const done = (k: number, minutes: number): ExamEvent => ({ kind: 'done', step: steps[k]?.id ?? '', atMs: at(minutes) });
const mark = (k: number, m: (typeof MARKS)[number]): ExamEvent => ({
  ...{ kind: 'mark', step: steps[k]?.id ?? '', mark: m, atMs: at(20) },
});
const penalty = (id: string): ExamEvent => ({ kind: 'penalty', penalty: id, atMs: at(20) });

describe('the shipped board (common practice, no source)', () => {
  it('gives sixteen minutes with a call at eight, and asks what is judged at every step, hands first and last', () => {
    expect(boardFaults(SHIPPED_BOARD)).toEqual([]);
    expect([SHIPPED_BOARD.minutes, SHIPPED_BOARD.callMin]).toEqual([16, 8]);
    const order = [
      'hands',
      'station',
      'drape',
      'gloves',
      'skin',
      'wrist',
      'lay',
      'strip',
      'taut',
      'pull',
      'waste',
      'after',
    ];
    const places = order.map((id) => steps.findIndex((s) => s.id === id));
    expect(places.every((p) => p >= 0)).toBe(true);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });
  it('is refused with the field where it cannot be examined by', () => {
    const [one] = steps;
    if (!one) throw new Error('a step');
    const wrong: Board = {
      ...SHIPPED_BOARD,
      ...{ minutes: 0, callMin: 20, pass: 0 },
      steps: [one, { ...one, worth: 0 }],
      penalties: [{ id: 'a', name: ' ', off: -1 }],
    };
    expect(boardFaults(wrong).map((f) => f.path)).toEqual([
      ...['minutes', 'callMin', 'pass', 'steps', 'steps[1].worth', 'penalties[0].name', 'penalties[0].off'],
    ]);
    expect(boardFaults({ ...SHIPPED_BOARD, steps: [] }).map((f) => f.path)).toEqual(['steps']);
  });
});

describe('a practical', () => {
  it('runs from its start, calls at half-time, and is over when time is, whatever is done after', () => {
    const events = [start, done(0, 1)];
    const of = (minutes: number): readonly unknown[] => {
      const { phase, called, leftMs, step } = examState(SHIPPED_BOARD, events, at(minutes));
      return [phase, called, leftMs / MIN, step];
    };
    expect(examState(SHIPPED_BOARD, [], at(3)).phase).toBe('waiting');
    expect(of(2)).toEqual(['running', false, 14, 1]);
    expect(of(8)).toEqual(['running', true, 8, 1]);
    expect(of(99)).toEqual(['over', true, 0, 1]);
    const late = examState(SHIPPED_BOARD, [...events, done(1, 17)], at(18));
    expect([late.over, late.step]).toEqual(['time', 1]);
    expect(examFault(SHIPPED_BOARD, events, done(1, 17))).toBe('Time is over.');
  });
  it('is over when the last step is done, and goes on when it is taken back', () => {
    const all = [start, ...steps.map((_, k) => done(k, 1 + k / 2))];
    const end = examState(SHIPPED_BOARD, all, at(15));
    expect([end.over, end.elapsedMs / MIN]).toEqual(['done', 1 + (steps.length - 1) / 2]);
    const back: ExamEvent = { kind: 'back', atMs: at(9) };
    expect(examState(SHIPPED_BOARD, [...all, back], at(15)).phase).toBe('running');
    expect(examFault(SHIPPED_BOARD, [start], back)).toBe('Nothing is done yet.');
    // only the step in hand is done
    expect(examFault(SHIPPED_BOARD, [start], done(3, 1))).toBe('Another step is in hand.');
  });
  it('the marks are those of the steps less what was seen wrong: 13 and 2 off are 11 of 16', () => {
    const marks = steps.map((_, k) => mark(k, k < 12 ? 'right' : 'not'));
    const half = [mark(12, 'half'), mark(13, 'half')];
    const { score } = examState(SHIPPED_BOARD, [start, ...marks, ...half, penalty('second-dip')], at(20));
    expect(score).toMatchObject({ steps: 13, off: 2, sum: 11, most: 16, unmarked: 0, passed: false });
    const better = examState(SHIPPED_BOARD, [start, ...marks, ...half], at(20)).score;
    expect([better.sum, better.passed]).toEqual([13, true]);
  });
  it('what was halted for safety is over at once and never passed', () => {
    const halt: ExamEvent = { kind: 'halt', text: 'lifted skin', atMs: at(5) };
    const all = [start, halt, ...steps.map((_, k) => mark(k, 'right'))];
    const state = examState(SHIPPED_BOARD, all, at(6));
    expect([state.over, state.elapsedMs / MIN, state.haltedFor, state.score.passed]).toEqual([
      ...['halt', 5, 'lifted skin', false],
    ]);
    expect(examFault(SHIPPED_BOARD, [start, halt], done(0, 5.5))).toBe('Time is over.');
  });
  it('undo takes back the examiner’s last, one by one, and nothing of the candidate’s', () => {
    const undo: ExamEvent = { kind: 'undo', atMs: at(20) };
    const events = [start, mark(0, 'right'), done(0, 1), penalty('up'), undo];
    const once = examState(SHIPPED_BOARD, events, at(2));
    expect([once.penalties, Object.keys(once.marks), once.step]).toEqual([[], ['hands'], 1]);
    const two = examState(SHIPPED_BOARD, [...events, undo], at(2));
    expect([Object.keys(two.marks), two.step]).toEqual([[], 1]);
    expect(examFault(SHIPPED_BOARD, [start, done(0, 1)], undo)).toBe('Nothing is marked yet.');
  });
  it('a sheet is closed once it is over and every step has its mark; then nothing more is taken', () => {
    const close: ExamEvent = { kind: 'close', atMs: at(21) };
    const marks = steps.map((_, k) => mark(k, 'right'));
    expect(examFault(SHIPPED_BOARD, [start], { ...close, atMs: at(2) })).toBe('It is not over yet.');
    expect(examFault(SHIPPED_BOARD, [start, ...marks.slice(1)], close)).toContain('1 of 16 steps');
    expect(examFault(SHIPPED_BOARD, [start, ...marks], close)).toBeNull();
    expect(examFault(SHIPPED_BOARD, [start, ...marks, close], mark(0, 'not'))).toContain('closed');
  });
  it('the candidate sees nothing of the marks before that', () => {
    const marks = steps.map((_, k) => mark(k, 'right'));
    const note: ExamEvent = { kind: 'note', step: 'hands', text: 'slow', atMs: at(20) };
    const events = [start, done(0, 1), ...marks, penalty('up'), note, { kind: 'undo', atMs: at(20) } as const];
    expect(forCandidate(events).map((e) => e.kind)).toEqual(['start', 'done']);
    const closed = [...events, { kind: 'close', atMs: at(21) } as const];
    expect(forCandidate(closed)).toEqual(closed);
  });
  it('whatever is taken keeps its rules: steps in order, marks within bounds, time within its limit (property)', () => {
    const some = fc.record({
      kind: fc.constantFrom(
        'start',
        'done',
        'done',
        'done',
        'back',
        'mark',
        'mark',
        'penalty',
        'undo',
        'halt',
        'ask',
        'close',
      ),
      step: fc.integer({ min: 0, max: steps.length - 1 }),
      mark: fc.constantFrom(...MARKS),
      wait: fc.integer({ min: 0, max: MIN / 2 }),
    });
    let taken = 0;
    fc.assert(
      fc.property(fc.array(some, { maxLength: 60 }), (list) => {
        let nowMs = START;
        let events: readonly ExamEvent[] = [start];
        let before = 0;
        for (const e of list) {
          nowMs += e.wait;
          // half of what is done is the step in hand
          const step = steps[e.kind === 'done' && e.step % 2 === 0 ? before : e.step]?.id ?? '';
          const event = { ...e, step, atMs: nowMs, penalty: 'up', text: 'x' } as unknown as ExamEvent;
          if (examFault(SHIPPED_BOARD, events, event) !== null) continue;
          events = [...events, event];
          taken++;
          const state = examState(SHIPPED_BOARD, events, nowMs);
          expect(Math.abs(state.step - before)).toBeLessThanOrEqual(1);
          before = state.step;
          expect(state.elapsedMs).toBeLessThanOrEqual(SHIPPED_BOARD.minutes * MIN);
          expect(state.score.sum).toBeGreaterThanOrEqual(0);
          expect(state.score.sum).toBeLessThanOrEqual(state.score.most);
          expect(state.score.steps).toBeLessThanOrEqual(state.score.of);
        }
      }),
      { numRuns: 300 },
    );
    expect(taken).toBeGreaterThan(500);
  });
});

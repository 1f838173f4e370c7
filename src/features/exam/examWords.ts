// What the examination says: time, calls, marks.

import type { Board, ExamScore, ExamState } from '@/core/exam';

/** Marks with at most one decimal. */
export const marksWord = (n: number): string => String(Math.round(10 * n) / 10);

export interface Left {
  readonly n: number;
  readonly words: string;
}

/** What is left of the time: minutes, seconds in the last one. */
export function timeLeft(leftMs: number): Left {
  if (leftMs > 60_000) {
    const n = Math.ceil(leftMs / 60_000);
    return { n, words: 'minutes left' };
  }
  const n = Math.ceil(leftMs / 1000);
  return { n, words: n === 1 ? 'second left' : 'seconds left' };
}

/** The call of a board by its name. */
export function callName({ callMin, minutes }: Board): string {
  if (callMin === null) return '';
  return Math.abs(2 * callMin - minutes) < 1e-9 ? 'half-time' : `${marksWord(callMin)} minutes`;
}

/** The call as it is shown and said; null before it comes and once it is over. */
export function callWords(board: Board, { phase, over, called, leftMs }: ExamState): string | null {
  if (phase === 'over' && over !== 'done') return over === 'halt' ? 'Halt' : 'Time';
  if (phase !== 'running') return null;
  if (leftMs <= 60_000) return 'Last minute';
  if (!called) return null;
  const name = callName(board);
  return `${name[0]?.toUpperCase() ?? ''}${name.slice(1)}`;
}

export const OVER_WORDS: Readonly<Record<NonNullable<ExamState['over']>, string>> = {
  done: 'All steps are done',
  time: 'Time is over',
  halt: 'Halted',
};

/** The score as it stands, in a line and its sum. */
export function scoreWords({ steps, of, off, sum, most, unmarked }: ExamScore): {
  readonly head: string;
  readonly sum: string;
} {
  const head =
    unmarked > 0 ? `${marksWord(sum)} of ${marksWord(most)} so far` : `${marksWord(sum)} of ${marksWord(most)}`;
  const taken = off > 0 ? `, ${marksWord(off)} off` : '';
  return { head, sum: `${marksWord(steps)} of ${marksWord(of)} for the steps marked${taken}` };
}

export const passWords = (passed: boolean | null): string => {
  if (passed === null) return 'not marked to the end';
  return passed ? 'passed' : 'not passed';
};

/** A civil date without its year. */
export const dayWords = (on: string): string =>
  new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
    new Date(`${on}T12:00:00Z`),
  );

// What the demo's trainee has practised: questions and strips over six weeks, one practical passed by little. Invented.

import { SHIPPED_BOARD, type ExamEvent, type ExamMark } from '../core/exam';
import { judgeAnswer, SKILLS } from '../core/practice';
import { addDays, seededRandom } from '../core/shared';
import { instantAt } from '../server/clock';
import type { DbOrTx } from '../server/db/openDatabase';
import { insertDrillAnswer } from '../server/repos/drillRepo';
import { insertExam, insertExamEvent } from '../server/repos/examRepo';
import { insertPractisedStrip } from '../server/repos/practiceRepo';

const SEED = 1407;
const ROOK = 'rook';
const WEEKS = 6;
const QUESTIONS = [5, 8, 0, 9, 7, 10] as const;
const STRIPS = [2, 3, 1, 4, 3, 4] as const;
const RHYTHM = { right: 'a06a06w02'.repeat(3), wrong: 'a06w02' } as const;

/** An answer that is right or not, by the question's own judge. */
function answerFor(skill: string, seed: number, right: boolean): string | null {
  if (skill.startsWith('rhythm:')) return right ? RHYTHM.right : RHYTHM.wrong;
  const [kind, name = ''] = skill.split(':');
  const others = SKILLS.filter((s) => s.startsWith(`${kind}:`)).map((s) => s.slice(s.indexOf(':') + 1));
  const all = [name, ...others, 'A', 'B', 'C', 'tweeze', 'again', 'leave', 'go', 'adapt', 'postpone', 'decline'];
  return all.find((answer) => judgeAnswer(skill, seed, answer) === right) ?? null;
}

export function insertPractice(tx: DbOrTx, day: string, timeZone: string): void {
  const random = seededRandom(SEED);
  let asked = 0;
  for (let week = 0; week < WEEKS; week++) {
    const on = (k: number): number => instantAt(addDays(day, -7 * (WEEKS - week) + (k % 6)), 17, 10 + 4 * k, timeZone);
    for (let k = 0; k < (QUESTIONS[week] ?? 0); k++) {
      const skill = SKILLS[asked++ % SKILLS.length] ?? '';
      const seed = 100 + asked;
      const right = random.next() < 0.55 + 0.07 * week;
      const answer = answerFor(skill, seed, right) ?? answerFor(skill, seed, !right);
      if (answer === null) continue;
      insertDrillAnswer(tx, {
        ...{ personId: ROOK, atMs: on(k), skill, seed, answer },
        right: judgeAnswer(skill, seed, answer) === true,
      });
    }
    for (let k = 0; k < (STRIPS[week] ?? 0); k++) {
      const points = Math.round(52 + 6 * week + random.between(-8, 8));
      const broken = Math.round((100 - points) / 3);
      insertPractisedStrip(tx, {
        ...{ personId: ROOK, atMs: on(k) + 1_200_000, level: 'first-steps', piece: 'plain', points, broken },
        ...{ out: 130 - broken - 6, left: 6, fault: k % 3 === 2 ? 'slack' : 'lift' },
      });
    }
  }
  insertPractical(tx, instantAt(addDays(day, -12), 9, 30, timeZone));
}

const NOT_RIGHT: Readonly<Record<string, ExamMark>> = { skin: 'half', stick: 'not', taut: 'half' };

function insertPractical(tx: DbOrTx, startMs: number): void {
  const id = 'demo-practical';
  insertExam(tx, {
    ...{ id, madeAtMs: startMs - 300_000, level: 'leg', candidateId: ROOK, candidateName: 'Rook', mode: 'two' },
    board: SHIPPED_BOARD,
  });
  const put = (event: ExamEvent, personId: string): void =>
    insertExamEvent(tx, { examId: id, personId, atMs: event.atMs, event });
  put({ kind: 'start', atMs: startMs }, ROOK);
  SHIPPED_BOARD.steps.forEach((step, k) => {
    const atMs = startMs + Math.round((k + 1) * 54_000);
    put({ kind: 'done', step: step.id, atMs }, ROOK);
    put({ kind: 'mark', step: step.id, mark: NOT_RIGHT[step.id] ?? 'right', atMs: atMs + 1000 }, 'ines');
  });
  const endMs = startMs + 16 * 60_000;
  put({ kind: 'penalty', penalty: 'second-dip', atMs: endMs }, 'ines');
  put({ kind: 'note', step: 'stick', text: 'second dip of the same stick', atMs: endMs + 1000 }, 'ines');
  put({ kind: 'close', atMs: endMs + 60_000 }, 'ines');
}

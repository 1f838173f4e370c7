// Practical examinations: the studio's board, one examination as its candidate and as its examiner see it, what is
// added to it. The server's clock counts.

import 'server-only';
import { randomUUID } from 'node:crypto';
import {
  boardFaults,
  examFault,
  examState,
  forCandidate,
  SHIPPED_BOARD,
  type Board,
  type ExamEvent,
  type ExamState,
} from '../../core/exam';
import { LEVEL_FACTS, LEVELS, type Level } from '../../core/practice';
import { ok } from '../../core/shared';
import { civilDateAt } from '../clock';
import { atomically } from '../db/atomically';
import { readable } from '../db/json';
import type { Db, DbOrTx } from '../db/openDatabase';
import { notFound, refused, stale, type ServiceResult } from '../errors';
import {
  eventsOfExams,
  insertBoard,
  insertExam,
  insertExamEvent,
  lastBoard,
  lastExams,
  readExam,
  type ExamRow,
} from '../repos/examRepo';
import { readPeople, readPerson, readStudio } from '../repos/studioRepo';

export interface NewExam {
  readonly level: Level;
  readonly candidate: { readonly personId: string } | { readonly name: string };
  readonly mode: 'two' | 'self';
}

/** An act without its time, which the server gives it. */
export type ExamAct = ExamEvent extends infer E ? (E extends ExamEvent ? Omit<E, 'atMs'> : never) : never;

export interface ExamLine {
  readonly id: string;
  readonly name: string;
  readonly level: string;
  readonly mode: ExamRow['mode'];
  /** Civil date on which it was made. */
  readonly on: string;
  readonly phase: ExamState['phase'];
  /** Marks of a closed sheet; null before. */
  readonly sum: number | null;
  readonly most: number;
  readonly passed: boolean | null;
}

export interface ExamsView {
  readonly board: Board;
  readonly people: readonly { readonly id: string; readonly name: string }[];
  /** The latest first. */
  readonly exams: readonly ExamLine[];
}

export interface ExamView {
  readonly id: string;
  readonly name: string;
  readonly level: Level;
  readonly mode: ExamRow['mode'];
  readonly on: string;
  readonly board: Board;
  readonly events: readonly ExamEvent[];
  readonly nowMs: number;
}

const MOST_LISTED = 40;

/** The studio's own board, or the shipped one; with the number of its version. */
export function boardNow(db: DbOrTx): { readonly board: Board; readonly version: number } {
  const row = lastBoard(db);
  const own = row && readable(() => (boardFaults(row.board).length === 0 ? row.board : null), null);
  return { board: own ?? SHIPPED_BOARD, version: row?.seq ?? 0 };
}

/** A board is kept beside those before it: examinations under way keep theirs. */
export function saveBoard(
  db: Db,
  { version, board }: { readonly version: number; readonly board: Board },
  by: { readonly personId: string | null; readonly atMs: number },
): ServiceResult<null> {
  return atomically(db, () => {
    const now = boardNow(db);
    if (now.version !== version) return stale(now);
    const faults = boardFaults(board);
    if (faults.length > 0) {
      return {
        ok: false,
        error: { code: 'invalid', message: 'The board is not changed.', details: faults },
      };
    }
    insertBoard(db, { ...by, board });
    return ok(null);
  });
}

const levelOf = (row: ExamRow): Level => LEVELS.find((l) => l === row.level) ?? 'first-steps';

function lineOf(
  row: ExamRow,
  events: readonly ExamEvent[],
  at: { readonly nowMs: number; readonly zone: string },
): ExamLine {
  const { phase, score } = examState(row.board, events, at.nowMs);
  const { id, candidateName: name, mode } = row;
  const on = civilDateAt(row.madeAtMs, at.zone);
  const isClosed = phase === 'closed';
  return {
    ...{ id, name, mode, on, phase, level: LEVEL_FACTS[levelOf(row)].name, most: score.most },
    ...{ sum: isClosed ? score.sum : null, passed: isClosed ? score.passed : null },
  };
}

/** Lines of examinations; one that cannot be read is left out. */
export function linesOf(db: DbOrTx, rows: readonly ExamRow[], nowMs: number): readonly ExamLine[] {
  const zone = readStudio(db)?.timeZone ?? 'UTC';
  const all = eventsOfExams(
    db,
    rows.map((r) => r.id),
  );
  return rows.flatMap((row) =>
    readable(
      () => [
        lineOf(
          row,
          all.filter((e) => e.examId === row.id).map((e) => e.event),
          { nowMs, zone },
        ),
      ],
      [],
    ),
  );
}

export function loadExams(db: Db, nowMs: number): ExamsView {
  return {
    board: boardNow(db).board,
    people: readPeople(db).map(({ id, name }) => ({ id, name })),
    exams: linesOf(db, lastExams(db, MOST_LISTED), nowMs),
  };
}

export function makeExam(
  db: Db,
  { level, candidate, mode }: NewExam,
  nowMs: number,
): ServiceResult<{ readonly id: string }> {
  return atomically(db, () => {
    const person = 'personId' in candidate ? readPerson(db, candidate.personId) : null;
    if ('personId' in candidate && !person) return refused('Nobody of that name works here.', 'candidate.personId');
    const name = person?.name ?? ('name' in candidate ? candidate.name.trim() : '');
    if (name === '') return refused('Who is examined?', 'candidate.name');
    const id = randomUUID();
    insertExam(db, {
      ...{ id, madeAtMs: nowMs, level, mode, candidateId: person?.id ?? null, candidateName: name },
      board: boardNow(db).board,
    });
    return ok({ id });
  });
}

/** @param as who looks: the candidate sees no marks before the sheet is closed */
export function loadExam(db: DbOrTx, id: string, as: 'candidate' | 'examiner', nowMs: number): ServiceResult<ExamView> {
  const row = readExam(db, id);
  if (!row) return notFound('examination');
  const events = eventsOfExams(db, [id]).map((e) => e.event);
  const { candidateName: name, mode, board } = row;
  const on = civilDateAt(row.madeAtMs, readStudio(db)?.timeZone ?? 'UTC');
  return ok({
    ...{ id, name, mode, on, board, nowMs, level: levelOf(row) },
    events: as === 'examiner' ? events : forCandidate(events),
  });
}

export function addExamAct(
  db: Db,
  id: string,
  act: ExamAct,
  { personId, nowMs }: { readonly personId: string | null; readonly nowMs: number },
): ServiceResult<null> {
  return atomically(db, () => {
    const row = readExam(db, id);
    if (!row) return notFound('examination');
    const events = eventsOfExams(db, [id]).map((e) => e.event);
    // a clock that was set back must not turn the order round
    const atMs = Math.max(nowMs, events.at(-1)?.atMs ?? 0);
    const event: ExamEvent = { ...act, atMs };
    const fault = examFault(row.board, events, event);
    if (fault !== null) return refused(`${fault} Nothing was noted.`, 'kind');
    insertExamEvent(db, { examId: id, personId, atMs, event });
    return ok(null);
  });
}

import 'server-only';
import { asc, desc, eq, inArray } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { examBoards, examEvents, exams } from '../db/schema';

export type ExamRow = typeof exams.$inferSelect;
export type ExamEventRow = typeof examEvents.$inferSelect;

export const readExam = (db: DbOrTx, id: string): ExamRow | undefined =>
  db.select().from(exams).where(eq(exams.id, id)).get();

/** The latest first. */
export const lastExams = (db: DbOrTx, most: number): ExamRow[] =>
  db.select().from(exams).orderBy(desc(exams.madeAtMs)).limit(most).all();

export const examsOf = (db: DbOrTx, personId: string): ExamRow[] =>
  db.select().from(exams).where(eq(exams.candidateId, personId)).orderBy(asc(exams.madeAtMs)).all();

export const insertExam = (db: DbOrTx, row: typeof exams.$inferInsert): void => {
  db.insert(exams).values(row).run();
};

/** Of some examinations, each in the order in which they came. */
export const eventsOfExams = (db: DbOrTx, ids: readonly string[]): ExamEventRow[] =>
  db
    .select()
    .from(examEvents)
    .where(inArray(examEvents.examId, [...ids]))
    .orderBy(asc(examEvents.seq))
    .all();

export const insertExamEvent = (db: DbOrTx, row: Omit<ExamEventRow, 'seq'>): void => {
  db.insert(examEvents).values(row).run();
};

export const lastBoard = (db: DbOrTx): typeof examBoards.$inferSelect | undefined =>
  db.select().from(examBoards).orderBy(desc(examBoards.seq)).limit(1).get();

export const insertBoard = (db: DbOrTx, row: Omit<typeof examBoards.$inferSelect, 'seq'>): void => {
  db.insert(examBoards).values(row).run();
};

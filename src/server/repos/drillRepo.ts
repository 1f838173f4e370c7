import 'server-only';
import { asc, eq, isNull } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { drillAnswers } from '../db/schema';

export type DrillAnswerRow = typeof drillAnswers.$inferSelect;

/** Of one person, or of whoever has not said who they are; oldest first. */
export const drillAnswersOf = (db: DbOrTx, personId: string | null): DrillAnswerRow[] =>
  db
    .select()
    .from(drillAnswers)
    .where(personId === null ? isNull(drillAnswers.personId) : eq(drillAnswers.personId, personId))
    .orderBy(asc(drillAnswers.seq))
    .all();

export const insertDrillAnswer = (db: DbOrTx, row: Omit<DrillAnswerRow, 'seq'>): void => {
  db.insert(drillAnswers).values(row).run();
};

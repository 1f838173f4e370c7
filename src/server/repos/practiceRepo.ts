import 'server-only';
import { and, asc, eq, gte } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { practiceStrips } from '../db/schema';

export type PractisedStripRow = typeof practiceStrips.$inferSelect;

export const insertPractisedStrip = (db: DbOrTx, row: Omit<PractisedStripRow, 'seq'>): void => {
  db.insert(practiceStrips).values(row).run();
};

/** Of one person since an instant, oldest first. */
export const practisedSince = (db: DbOrTx, personId: string, fromMs: number): PractisedStripRow[] =>
  db
    .select()
    .from(practiceStrips)
    .where(and(eq(practiceStrips.personId, personId), gte(practiceStrips.atMs, fromMs)))
    .orderBy(asc(practiceStrips.seq))
    .all();

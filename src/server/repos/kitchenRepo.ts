import { and, asc, desc, eq, isNotNull, ne } from 'drizzle-orm';
import type { DbOrTx } from '../db/openDatabase';
import { batches, batchNotes } from '../db/schema';

export type BatchRow = typeof batches.$inferSelect;
export type BatchNoteRow = typeof batchNotes.$inferSelect;

export const readBatch = (db: DbOrTx, id: string): BatchRow | undefined =>
  db.select().from(batches).where(eq(batches.id, id)).get();
/** The one that is on the stove, or not in its jar yet. */
export const openBatch = (db: DbOrTx): BatchRow | undefined =>
  db.select().from(batches).where(eq(batches.state, 'cooking')).get();
/** Those that are over, latest first. */
export const endedBatches = (db: DbOrTx, most: number): BatchRow[] =>
  db.select().from(batches).where(ne(batches.state, 'cooking')).orderBy(desc(batches.weighedAtMs)).limit(most).all();
export const lotsOfBatches = (db: DbOrTx): readonly string[] =>
  db
    .select({ lot: batches.lot })
    .from(batches)
    .all()
    .map((b) => b.lot);
/** What the stove brought, by the batches that told it, latest first, W. */
export const stovesFound = (db: DbOrTx, most: number): readonly number[] =>
  db
    .select({ watts: batches.stoveFoundW })
    .from(batches)
    .where(isNotNull(batches.stoveFoundW))
    .orderBy(desc(batches.weighedAtMs))
    .limit(most)
    .all()
    .flatMap((b) => (b.watts === null ? [] : [b.watts]));
export const insertBatch = (db: DbOrTx, row: typeof batches.$inferInsert): void => {
  db.insert(batches).values(row).run();
};
/** False where the version is no longer the one that was read. */
export const updateBatch = (
  db: DbOrTx,
  { id, version }: Pick<BatchRow, 'id' | 'version'>,
  row: Partial<typeof batches.$inferInsert>,
): boolean =>
  db
    .update(batches)
    .set({ ...row, version: version + 1 })
    .where(and(eq(batches.id, id), eq(batches.version, version)))
    .run().changes === 1;
export const insertBatchNote = (db: DbOrTx, row: typeof batchNotes.$inferInsert): void => {
  db.insert(batchNotes).values(row).run();
};
/** In their order. */
export const batchNotesOf = (db: DbOrTx, batchId: string): BatchNoteRow[] =>
  db.select().from(batchNotes).where(eq(batchNotes.batchId, batchId)).orderBy(asc(batchNotes.seq)).all();
